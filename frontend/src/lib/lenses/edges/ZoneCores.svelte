<script lang="ts">
	/** A core of every zone, to one scale, hung from the finished floor: dropped ones hang lower. Its figures are fields. */
	import { HATCHES } from '../../drawing/hatches';
	import type { TopZone } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { shownLength } from '../../ui/typed';
	import { edges as edgeWords } from '../../words/edges';
	import type { CallHere } from './call_here.svelte';
	let { store, call, zones }: { store: JobStore; call: CallHere; zones: TopZone[] } = $props();
	const NARROW = 62;
	const TOP = 14;
	const deepest = $derived(Math.max(...zones.map((zone) => zone.drop_mm + zone.core.reduce((sum, one) => sum + one.mm, 0))));
	const scale = $derived(92 / Math.max(deepest, 200));
	const tall = $derived(TOP + deepest * scale + 18);
	const layersOf = (zone: TopZone) => {
		let at = TOP + zone.drop_mm * scale;
		return zone.core.map((layer) => {
			const y = at;
			at += layer.mm * scale;
			return { ...layer, y, high: layer.mm * scale };
		});
	};
	const say = (mm: number) => (mm ? shownLength(mm, store.units) : '0');
	function press(zone: TopZone) {
		const at = store.figure?.drawing?.zones.find((one) => one.index === zone.row)?.at;
		if (at) call.pressSpot(at, true);
	}
</script>

<div class="relative grid grid-cols-[repeat(auto-fill,minmax(128px,1fr))] gap-x-6 gap-y-10">
	{#each zones as zone (zone.id)}
		{@const on = call.zone?.id === zone.id}
		{@const layers = layersOf(zone)}
		<div class="relative min-w-0" data-core-of={zone.name}>
			<svg width="100%" height={tall} class="block" aria-hidden="true">
				<path d="M0 {TOP}H400" class="stroke-chalk stroke-2" />
				{#each layers as layer}
					{#if layer.kind === 'barrier'}<path d="M0 {layer.y}h{NARROW + 6}" class="stroke-ink stroke-4 [stroke-dasharray:9_4]" />
					{:else}
						<rect
							x="2"
							y={layer.y}
							width={NARROW}
							height={layer.high}
							class={layer.kind === 'slab' ? 'fill-slab' : 'fill-well'}
						/>
						<rect
							x="2"
							y={layer.y}
							width={NARROW}
							height={layer.high}
							fill="url(#{HATCHES[layer.kind] ?? 'conc'})"
							class={['stroke-[2.2px]', on ? 'stroke-chalk' : 'stroke-ink']}
						/>
						{#if layer.kind !== 'slab' && layer.high > 12}<foreignObject
								x={NARROW + 8}
								y={layer.y + layer.high / 2 - 10}
								width="90"
								height="20"
								><p class="text-note leading-[20px] whitespace-nowrap text-ink2">
									<Frac text="{layer.text.replace(' mm', '')} {edgeWords.legend[layer.kind] ?? layer.kind}" />
								</p></foreignObject
							>{/if}
					{/if}
				{/each}
				{#each [0, 1, 2, 3] as i}
					{@const end = (layers.at(-1)?.y ?? 0) + (layers.at(-1)?.high ?? 0)}
					<path d="M{8 + i * 15} {end + 10}l7 -8" class="stroke-soil stroke-[1.6px]" />
				{/each}
			</svg>
			<div class="absolute left-4" style:top="{(layers[0]?.y ?? 0) + Math.max(0, (layers[0]?.high ?? 0) / 2 - 18)}px">
				<Field
					label="{zone.mark} {edgeWords.thickness}, {zone.name}"
					hide
					value={say(layers[0]?.mm ?? 0)}
					width="{NARROW - 4}px"
					problem={store.problemFor(`slab-${zone.id}`)}
					keep={(thickness) => store.keep([{ op: 'set_slab_type', mark: zone.mark, thickness }], `slab-${zone.id}`)}
				/>
			</div>
			<button
				type="button"
				class="absolute left-74 grid size-44 place-items-start"
				style:top="{(layers[0]?.y ?? 0) + 3}px"
				aria-pressed={on}
				aria-label={edgeWords.zoneOf(zone.name, zone.mark)}
				onclick={() => press(zone)}
				><span
					class={[
						'grid h-26 min-w-34 place-items-center px-4 text-body font-black',
						on ? 'bg-chalk text-on-chalk' : 'bg-ink text-sheet'
					]}>{zone.mark}</span
				></button
			>
			<p class={['mt-2 font-[760] [overflow-wrap:anywhere]', on && 'text-chalk']}>{zone.name}</p>
			<div class="flex items-end gap-6">
				<Field
					label={edgeWords.dropOf(zone.name)}
					mode="text"
					hide
					value={zone.drop_mm ? `−${say(zone.drop_mm)}` : '0'}
					width="72px"
					problem={store.problemFor(`zone-drop-${zone.id}`)}
					keep={(typed) =>
						store.keep(
							[{ op: 'set_zone', zone: zone.id, changes: { drop_mm: typed.replace(/^\s*[−-]\s*/, '') } }],
							`zone-drop-${zone.id}`
						)}
				/>
				<span class="pb-6 text-note text-ink2">{zone.use ? edgeWords.uses[zone.use] : ''}</span>
			</div>
			{#if zone.falls.length || zone.drain}<p class="text-note">
					<Frac text={zone.says.replace(/^lies .*? lower and /, '')} />
				</p>{/if}
		</div>
	{/each}
</div>
