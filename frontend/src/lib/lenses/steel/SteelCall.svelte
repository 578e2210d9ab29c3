<script lang="ts">
	/** What an edge, beam, pad, slab or side holds, as the drawing says it. */
	import { steel as words } from '../../words/steel';
	import CallBox from '../CallBox.svelte';
	import type { SteelData, Target } from './steel.svelte';
	/** of: what the call is of; one component for the life of a target. name: its label */
	let { data, of, name, done }: { data: SteelData; of: Target; name: string; done?: () => void } = $props();
	const hint = $derived(words.hints[of.kind === 'edge' || of.kind === 'beam' ? 'cage' : of.kind][data.store.units]);
</script>

<CallBox
	store={data.store}
	at="steel-{of.kind}-{of.mark}"
	{name}
	hint={data.drawn(of) || hint}
	heardName={words.heard}
	edit={(text) => data.edit(of, text)}
	done={async () => {
		await data.load();
		done?.();
	}}
/>
