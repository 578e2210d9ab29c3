<script lang="ts">
	/** Day, hour and mix of a pour of its own, and what its last truck carries. */
	import type { Ordered } from '../../api/schema';
	import type { JobStore } from '../../state/job.svelte';
	import Field from '../../ui/Field.svelte';
	import Frac from '../../ui/Frac.svelte';
	import { footings as words } from '../../words/footings';
	interface Props {
		store: JobStore;
		holds: 'footings' | 'walls';
		label: string;
		found: { pour_at: string | null; strength_text: string };
		ordered: Ordered;
	}
	let { store, holds, label, found, ordered }: Props = $props();
	const set = (key: 'pour_at' | 'strength_mpa') => (typed: string) =>
		store.keep([{ op: 'set_pour', holds, changes: { [key]: typed.trim() || null } }], `${holds}-${key}`);
</script>

<div class="mt-6 flex flex-wrap items-end gap-12">
	<div class="w-260">
		<Field
			{label}
			type="datetime-local"
			value={found.pour_at ?? ''}
			problem={store.problemFor(`${holds}-pour_at`)}
			keep={set('pour_at')}
		/>
	</div>
	<div class="w-150">
		<Field
			label={words.strength}
			mode="text"
			calm
			placeholder={found.strength_text || words.notSaid}
			value={words.own(store.document?.pours, holds, store.units)}
			problem={store.problemFor(`${holds}-strength_mpa`)}
			keep={set('strength_mpa')}
		/>
	</div>
	<p class="flex-1 text-note font-mid"><Frac text={ordered.last_load} /></p>
</div>
