<script lang="ts">
	/** The rod card: cores with readings, one surface in large type, and every surface as a list. */
	import { onTab } from '../../state/findings';
	import Frac from '../../ui/Frac.svelte';
	import { ground as groundWords } from '../../words/ground';
	import CoreRack from './CoreRack.svelte';
	import type { GroundData } from './ground.svelte';
	import type { LaserLink } from './laser.svelte';
	import NoLaser from './NoLaser.svelte';
	import ReadPanel from './ReadPanel.svelte';
	import type { Reading } from './reading.svelte';
	import Act from '../../ui/Act.svelte';
	import { coarse } from '../../ui/pointer.svelte';
	import RodTouch from './RodTouch.svelte';
	import FindingList from '../../ui/FindingList.svelte';
	import Table from '../../ui/Table.svelte';
	interface Props {
		data: GroundData;
		laser: LaserLink;
		box: Reading;
		surface: number;
		choose: (index: number) => void;
	}
	let { data, laser, box, surface, choose }: Props = $props();
	const found = $derived(data.state);
	const rows = $derived(found?.ground.rod ?? []);
	const row = $derived(rows[surface] ?? null);
	const title = $derived(row ? `${row.surface[0]?.toUpperCase()}${row.surface.slice(1)}, ${row.at}` : '');
	let width = $state(600);
	let only = $state('');
	/** a core and its readings want their width: more of them stand in a second rack below */
	const racks = $derived.by(() => {
		const names = [...new Set((found?.ground.stack ?? []).map((one) => one.zone))];
		const most = Math.max(1, Math.floor((width - 84) / 104) - 2);
		return Array.from({ length: Math.ceil(names.length / most) }, (_, k) => names.slice(k * most, (k + 1) * most));
	});
	const groups = $derived([...new Set(rows.map((one) => one.zone))].filter(Boolean));
	const shown = $derived(
		rows.map((one, i) => ({ one, i })).filter(({ one }) => !only || one.zone === only || (only === 'edges' && !one.zone))
	);
	function pickZone(zone: string) {
		data.zone = Math.max(
			0,
			data.zones.findIndex((one) => one.name === zone)
		);
		const at = rows.findIndex((one) => one.zone === zone && one.heavy);
		if (at >= 0) choose(at);
		only = zone;
	}
	async function shoot() {
		if (!row?.spot) return;
		const mm = await laser.shoot({ at: row.spot });
		if (mm !== null) await box.take(mm);
	}
</script>

{#if found}
	{#if row && data.stand}
		{@const own = { box, reads: found.reads, laser, shoot: row.spot ? shoot : null }}
		{#if coarse.now}<RodTouch {...own} />{:else}<ReadPanel {...own} {title} />{/if}
	{:else if !data.stand}
		<NoLaser />
	{/if}
	<div class="max-phone:hidden" bind:clientWidth={width}>
		{#each racks as zones, k}
			<CoreRack
				state={found}
				picked={data.zones[data.zone]?.name ?? ''}
				pick={pickZone}
				{width}
				{zones}
				last={k === racks.length - 1}
			/>
		{/each}
		<p class="label">{data.stand ? groundWords.cores : groundWords.coresLevels} {groundWords.coresKey}</p>
	</div>
	<FindingList findings={onTab(found.findings, 'rod')} />
	<div class="mx-0 mt-8 mb-4 flex flex-wrap items-center gap-6">
		<h2>{groundWords.surfaces}</h2>
		{#each ['', ...groups, 'edges'] as key}<Act kind="quiet" on={only === key} onclick={() => (only = key)}
				>{key === '' ? 'all' : key}</Act
			>{/each}
	</div>
	<Table
		heads={[
			{ says: groundWords.pickSurface, class: 'font-plain max-phone:nth-[2]:hidden max-phone:nth-[4]:hidden' },
			{ says: groundWords.level, class: 'font-plain max-phone:nth-[2]:hidden max-phone:nth-[4]:hidden' },
			{ says: groundWords.reads, class: 'font-plain max-phone:nth-[2]:hidden max-phone:nth-[4]:hidden' },
			{ says: groundWords.pole, class: 'font-plain max-phone:nth-[2]:hidden max-phone:nth-[4]:hidden' }
		]}
	>
		{#each shown as { one, i }}
			<tr class:on={i === surface}>
				<th class={['max-phone:nth-[2]:hidden max-phone:nth-[4]:hidden', one.heavy ? 'font-[760]' : 'font-plain']} scope="row"
					><button
						class="min-h-32 w-full text-left max-phone:min-h-50 max-phone:text-read"
						type="button"
						data-surface="{one.surface}, {one.at}"
						onclick={() => choose(i)}>{one.surface}, {one.at}</button
					></th
				>
				<td class={['max-phone:nth-[2]:hidden max-phone:nth-[4]:hidden', one.heavy && 'font-[760]']}
					><Frac text={one.level_text} />{#if one.slab_text}<span class="label block"><Frac text={one.slab_text} /></span
						>{/if}</td
				>
				<td
					class={[
						'text-act whitespace-nowrap max-phone:text-call max-phone:nth-[2]:hidden max-phone:nth-[4]:hidden',
						one.heavy ? 'font-[760]' : 'font-[760]'
					]}><Frac text={one.reading_text || '–'} /></td
				>
				<td class={['max-phone:nth-[2]:hidden max-phone:nth-[4]:hidden', one.heavy && 'font-[760]']}
					><Frac text={one.pole_text} /></td
				>
			</tr>
		{/each}
	</Table>
	<p class="label">{groundWords.poleHow}</p>
{/if}
