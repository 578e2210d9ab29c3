<script lang="ts">
	/** The slab as it stands: what is not as drawn, thing by thing; files of it; foam of the edge; second pours as jobs of their own. */
	import { untrack } from 'svelte';
	import { note, restored } from '../../state/remember.svelte';
	import Act from '../../ui/Act.svelte';
	import Choose from '../../ui/Choose.svelte';
	import Frac from '../../ui/Frac.svelte';
	import Verdict from '../../ui/Verdict.svelte';
	import { afterWords } from '../../words/after';
	import type { AfterData } from './after.svelte';
	import SecondPours from './SecondPours.svelte';
	import { sized } from './spread';
	let { data }: { data: AfterData } = $props();
	const words = afterWords.built;
	const PAPERS = ['letter', 'a4'] as const;
	const built = $derived(data.built);
	const thing = $derived(data.thing);
	const units = $derived(data.store.units);
	const FIELDS = {
		side: ['out'],
		joint: ['right', 'up'],
		bolt: ['right', 'up', 'high'],
		added: ['wide', 'long', 'deep']
	} as const;
	const KEYS: Record<string, string> = {
		right: 'dx_mm',
		up: 'dy_mm',
		high: 'level_mm',
		out: 'out_mm',
		wide: 'wide_mm',
		long: 'long_mm',
		deep: 'deep_mm'
	};
	const kind = $derived((data.adding ? 'added' : (thing?.thing ?? '')) as keyof typeof FIELDS | '');
	const things = $derived([
		{ value: '', label: words.choose },
		...(built?.things ?? []).map((one) => ({ value: one.key, label: one.name }))
	]);
	const fields = $derived(kind ? FIELDS[kind] : []);
	const key = untrack(() => `${data.store.id}/built`);
	let typed = $state<Record<string, string>>(restored<Record<string, string>>(key) ?? {});
	$effect(() => note(key, typed));
	let asks = $state('');
	async function keep() {
		const sizes = Object.fromEntries(fields.map((one) => [KEYS[one], sized(typed[one] ?? '', units)]));
		const why = (typed['words'] ?? '').trim();
		if (data.adding && !data.cure.spot) return void (asks = words.tapFirst);
		if (!data.adding && !why && fields.every((one) => !(typed[one] ?? '').trim())) return void (asks = words.nothing);
		asks = '';
		const of = data.adding ? { thing: 'added', spot: data.cure.spot } : { thing: thing?.thing, of: thing?.of };
		const old = data.built?.rows.find((row) => row.key === data.held)?.record || null;
		if (!(await data.say('as_built', { ...of, ...sizes, words: why }, data.adding ? null : old))) return;
		typed = {};
		[data.held, data.adding, data.cure.spot] = ['', false, null];
	}
	const file = (name: string) => `/api/jobs/${data.store.id}/as-built.${name}`;
	const IN = 'block w-full min-h-48 border-2 border-ink bg-well px-8 text-body';
</script>

{#if built}
	<Verdict text={words.verdict(built.rows.length)} under={words.how} />
	{#if kind}
		<form
			class="mt-10 border-l-6 border-chalk pl-12"
			aria-label={data.adding ? words.added : words.held(thing?.name ?? '')}
			onsubmit={(event) => (event.preventDefault(), void keep())}
			data-as-built={kind}
		>
			<h2 class="text-key font-heavy">{data.adding ? words.added : words.held(thing?.name ?? '')}</h2>
			{#if data.adding}<p class="text-note">{words.addHow}</p>{/if}
			<div class="mt-6 grid grid-cols-[repeat(auto-fit,minmax(150px,1fr))] items-end gap-8">
				{#each fields as one (one)}<label class="text-note"
						>{words[one]}<input
							class={IN}
							bind:value={() => typed[one] ?? '', (now) => (typed[one] = now)}
							placeholder={data.adding ? '' : words.minus[units]}
							autocomplete="off"
						/></label
					>{/each}
				<label class="text-note"
					>{words.words}<input
						class={IN}
						maxlength="400"
						bind:value={() => typed['words'] ?? '', (now) => (typed['words'] = now)}
					/></label
				>
				<Act type="submit" kind="main" class="min-h-48">{words.keep}</Act>
			</div>
			{#if asks || data.wrong}<p class="wrong mt-6" role="alert">{asks || data.wrong}</p>{/if}
		</form>
	{:else}
		{#if data.wrong}<p class="wrong mt-6" role="alert">{data.wrong}</p>{/if}
		<div class="mt-8 flex flex-wrap items-end gap-8">
			<Choose name={words.choose} rows={things} value="" pick={(key) => key && data.press(key)} />
			<Act class="min-h-48" onclick={() => data.add()}>{words.added}</Act>
		</div>
	{/if}
	{#if built.rows.length}
		<h2 class="panel-head">{words.list}</h2>
		<ol>
			{#each built.rows as row, n (row.key)}
				<li
					class="grid min-h-52 grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-8 border-b border-hair py-4"
					data-built={row.key}
				>
					<b class="text-key text-chalk">{n + 1}</b>
					<span
						><b class="block text-read"><Frac text="{row.name}: {row.words}" /></b>
						<span class="text-note">{words.by(row.when_text, row.by)}</span></span
					>
					{#if row.record}<Act
							kind="quiet"
							aria-label="{afterWords.takeBack}, {row.name}"
							onclick={() => void data.strike(row.record)}>{afterWords.takeBack}</Act
						>{/if}
				</li>
			{/each}
		</ol>
	{/if}
	{#if built.same.length}
		<h2 class="panel-head">{words.same}</h2>
		<ul class="text-read">
			{#each built.same as one (one)}<li><Frac text={one} /></li>{/each}
		</ul>
	{/if}
	<h2 class="panel-head">{words.files}</h2>
	<p class="flex flex-wrap gap-6">
		{#each PAPERS as paper (paper)}<Act kind="plain" href="{file('pdf')}?paper={paper}" download="">{words.pdf[paper]}</Act
			>{/each}
		<Act kind="plain" href={file('dxf')} download="">{words.dxf}</Act>
		<Act kind="plain" href={file('json')} download="">{words.json}</Act>
	</p>
	<SecondPours {data} />
{/if}
