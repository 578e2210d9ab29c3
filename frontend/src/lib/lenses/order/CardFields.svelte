<script lang="ts">
	/** The fields behind one line of the call-in card. */
	import { shownLength } from '../../ui/typed';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import { orderWords } from '../../words/order';
	import Choice from '../../ui/Choice.svelte';
	let { store, line }: { store: JobStore; line: string } = $props();
	type Path = keyof typeof orderWords.fields;
	const paths: Record<string, Path[]> = {
		when: ['order.pour_at'],
		where: ['site.address', 'site.directions'],
		mix: ['mix.strength_mpa', 'mix.stone_mm', 'mix.slump_mm', 'mix.air_percent'],
		loads: ['order.spacing_min'],
		unloaded: ['order.method'],
		ring: ['order.ring.name', 'order.ring.phone']
	};
	const NUMBERS: Path[] = ['mix.air_percent', 'order.spacing_min'];
	const plan = $derived(store.document);
	const inches = (mm: number | null | undefined) =>
		mm == null ? '' : store.units === 'mm' ? `${mm} mm` : shownLength(mm, 'ft-in');
	function value(path: Path): string {
		if (!plan) return '';
		const { mix, order, site } = plan;
		const strength = mix.strength_mpa;
		const all: Record<Path, string> = {
			'site.address': site.address,
			'site.directions': site.directions,
			'mix.strength_mpa':
				strength == null
					? ''
					: store.units === 'mm'
						? `${+strength.toFixed(1)} MPa`
						: `${Math.round(strength / 0.00689475729 / 10) * 10} psi`,
			'mix.stone_mm': inches(mix.stone_mm),
			'mix.slump_mm': inches(mix.slump_mm),
			'mix.air_percent': mix.air_percent == null ? '' : String(mix.air_percent),
			'order.spacing_min': order.spacing_min == null ? '' : String(order.spacing_min),
			'order.method': order.method ?? '',
			'order.pour_at': (order.pour_at ?? '').slice(0, 16),
			'order.ring.name': order.ring?.name ?? '',
			'order.ring.phone': order.ring?.phone ?? ''
		};
		return all[path];
	}
	function sent(path: Path, typed: string): string | number | null {
		const text = typed.trim();
		const texts: Path[] = ['site.address', 'site.directions', 'order.ring.name', 'order.ring.phone'];
		if (!text) return texts.includes(path) ? '' : null;
		return NUMBERS.includes(path) && Number.isFinite(Number(text)) ? Number(text) : text;
	}
	const keep = (path: Path, typed: string) =>
		store.keep([{ op: 'set_fields', values: { [path]: sent(path, typed) } }], `card-${path}`);
</script>

<div class="grid max-w-420 gap-6 px-0 py-4">
	{#each paths[line] ?? [] as path}
		{#if path === 'order.method'}
			<Choice
				rows={(['chute', 'pump', 'barrows', 'conveyor'] as const).map((method) => ({
					value: method,
					label: orderWords.methods[method]
				}))}
				value={plan?.order.method ?? null}
				pick={(method) => method && void keep(path, method)}
				name={orderWords.fields[path]}
				class="flex flex-wrap gap-4"
			/>
		{:else}
			<Field
				label={orderWords.fields[path]}
				value={value(path)}
				type={path === 'order.pour_at' ? 'datetime-local' : 'text'}
				problem={store.problemFor(`card-${path}`)}
				keep={(typed) => keep(path, typed)}
			/>
		{/if}
	{/each}
</div>
