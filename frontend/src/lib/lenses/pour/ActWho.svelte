<script lang="ts">
	/** Who does an act: a name out of those that are here, or typed; kept when it is left. */
	import { pourWords as words } from '../../words/pour';
	import type { PourData } from './pour.svelte';
	let { data, act, to, name }: { data: PourData; act: string; to: string; name: string } = $props();
	const own = $props.id();
	let typed = $state<string | null>(null);
	async function keep() {
		const now = typed?.trim();
		if (now === undefined || now === to) return void (typed = null);
		if (await data.say('given', { act, to: now })) typed = null;
	}
</script>

<label class="inline-flex items-center gap-6 text-note">
	{words.who}
	<input
		class="h-44 w-120 border-2 border-ink bg-well px-8 font-pencil text-key text-pencil"
		list="{own}-crew"
		maxlength="80"
		aria-label={name}
		placeholder={words.anybody}
		value={typed ?? to}
		oninput={(event) => (typed = event.currentTarget.value)}
		onchange={() => void keep()}
		onkeydown={(event) => event.key === 'Enter' && (event.stopPropagation(), event.currentTarget.blur())}
	/>
	<datalist id="{own}-crew"
		>{#each data.told?.crew ?? [] as one (one)}<option value={one}></option>{/each}</datalist
	>
</label>
