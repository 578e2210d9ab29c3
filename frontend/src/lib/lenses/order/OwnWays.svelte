<script lang="ts">
	/** What this job does differently from the crew's ways, and why. */
	import { shownLength, YD3 } from '../../ui/typed';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import { waysWords } from '../../words/ways';
	import { w } from '../../words/words';
	import { orderWords } from '../../words/order';
	import Fold from '../../ui/Fold.svelte';
	let { store }: { store: JobStore } = $props();
	const own = $derived(store.document?.ways);
	const metric = $derived(store.units === 'mm');
	const thin = (mm: number | null | undefined) => (mm == null ? '' : metric ? `${+mm.toFixed(2)} mm` : shownLength(mm, 'ft-in'));
	const volume = (m3: number | null | undefined) =>
		m3 == null ? '' : metric ? `${+m3.toFixed(3)} m³` : `${+(m3 / YD3).toFixed(3)} yd`;
	const truck = $derived(metric ? own?.truck_m3 : own?.truck_yd3);
	const rows = $derived([
		{ key: 'base_low_mm', label: waysWords.base, value: thin(own?.base_low_mm), number: false },
		{ key: 'trench_wide_mm', label: waysWords.trench, value: thin(own?.trench_wide_mm), number: false },
		{ key: 'left_behind_m3', label: waysWords.left, value: volume(own?.left_behind_m3), number: false },
		{
			key: metric ? 'truck_m3' : 'truck_yd3',
			label: `${waysWords.truck}, ${metric ? 'm³' : 'yd'}`,
			value: truck == null ? '' : String(truck),
			number: true
		},
		{ key: 'reason', label: waysWords.why, value: own?.reason ?? '', number: false }
	]);
	function keep(key: string, typed: string, number: boolean) {
		const text = typed.trim();
		const value = text === '' ? (key === 'reason' ? '' : null) : number && Number.isFinite(Number(text)) ? Number(text) : text;
		return store.keep([{ op: 'set_fields', values: { [`ways.${key}`]: value } }], `own-${key}`);
	}
</script>

<Fold class="mt-10" name={orderWords.ownWays}>
	<div class="flex flex-wrap gap-x-14 gap-y-6">
		{#each rows as row}
			<Field
				label={row.label}
				value={row.value}
				placeholder={row.key === 'reason' ? '' : w.asCrew}
				width={row.key === 'reason' ? '100%' : '150px'}
				problem={store.problemFor(`own-${row.key}`)}
				keep={(typed) => keep(row.key, typed, row.number)}
			/>
		{/each}
	</div>
</Fold>
