<script lang="ts">
	/** A line of the mix: what is said, why, who decides; a press opens where it is said. */
	import type { MixLine } from '../../api/schema';
	import { shownLength } from '../../ui/typed';
	import Choose from '../../ui/Choose.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { orderWords } from '../../words/order';
	import type { OrderData } from './order.svelte';
	let { data, line, flagged }: { data: OrderData; line: MixLine; flagged: boolean } = $props();
	const words = orderWords.mix;
	const store = $derived(data.store);
	const mix = $derived(store.document?.mix);
	let open = $state(false);
	const rows = <T extends string>(of: Record<T, string>) =>
		(Object.entries(of) as [T, string][]).map(([value, label]) => ({ value, label }));
	const NUMBERS = ['mix.water_share', 'mix.air_percent', 'mix.ash_share'];
	function value(path: string): string {
		const got = mix?.[path.slice(4) as 'slump_mm'] as unknown;
		if (got === null || got === undefined || got === false) return '';
		if (path === 'mix.strength_mpa')
			return store.units === 'mm' ? `${+Number(got).toFixed(1)} MPa` : `${Math.round(Number(got) / 0.00689475729 / 10) * 10} psi`;
		if (path.endsWith('_mm')) return shownLength(Number(got), store.units);
		return `${got as string}`;
	}
	function keep(path: string, text: string) {
		const said = text.trim();
		const number = Number(said.replace(',', '.'));
		const empty = path === 'mix.strength_by' ? '' : null;
		return data.set(
			{ [path]: said === '' ? empty : NUMBERS.includes(path) && Number.isFinite(number) ? number : said },
			`mix-${path}`
		);
	}
	const why = $derived(line.wrong && !line.why.includes(line.wrong) ? `${line.wrong} ${line.why}` : line.why);
	const paths = $derived(
		line.field === 'mix.strength_mpa'
			? (['mix.strength_mpa', 'mix.strength_by'] as const)
			: ([line.field] as (keyof typeof words.lineFields)[])
	);
</script>

<tr class={[flagged && 'bg-flag/12']} data-mix-line={line.what}>
	<th scope="row" class="border-b border-hair py-3 pr-8 text-left align-top font-[760]"
		>{line.name}<span class="hidden text-note font-plain max-phone:block"><Frac text={why} /></span></th
	>
	<td class="border-b border-hair py-1 pr-8 align-top">
		<button
			type="button"
			class="min-h-26 text-left max-phone:min-h-44 pointer-coarse:min-h-44"
			aria-expanded={open}
			onclick={() => (open = !open)}
		>
			<span class="sr-only">{words.say}: {line.name},</span>
			{#if flagged}<span class="text-flag" aria-hidden="true">⚑</span>{/if}
			<span
				class={[
					!line.say
						? 'font-[680] text-flag'
						: flagged
							? 'font-[760] text-flag'
							: line.how === 'set'
								? 'boxed'
								: line.how === 'worked'
									? 'wk'
									: 'pen',
					'whitespace-normal!'
				]}><Frac text={line.say || words.unsaidWord} /></span
			>
		</button>
		{#if open}
			<div class="grid max-w-240 gap-4 pb-6">
				{#if line.field === 'mix.reducer'}<Choose
						name={line.name}
						none={words.unsaidWord}
						rows={rows(words.reducers)}
						value={mix?.reducer ?? ('' as 'none')}
						pick={(now) => void data.set({ 'mix.reducer': now }, 'mix-reducer')}
					/>
				{:else if line.field === 'mix.setting'}<Choose
						name={line.name}
						none={words.unsaidWord}
						rows={rows(words.settings)}
						value={mix?.setting ?? ('' as 'retarded')}
						pick={(now) => void data.set({ 'mix.setting': now }, 'mix-setting')}
					/>
				{:else}{#each paths as path (path)}<Field
							label={words.lineFields[path] ?? line.name}
							value={value(path)}
							problem={store.problemFor(`mix-${path}`)}
							keep={(text) => keep(path, text)}
						/>{/each}{/if}
			</div>
		{/if}
	</td>
	<td class="border-b border-hair py-3 pr-8 align-top max-phone:hidden"><Frac text={why} /></td>
	<td class="border-b border-hair py-3 text-right align-top"><span class="boxed">{line.who}</span></td>
</tr>
