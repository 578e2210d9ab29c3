<script lang="ts" generics="T extends string">
	/** One of a few, each a line of its own that says what it means: a ring beside its words, arrows move. */
	import { RadioGroup } from 'bits-ui';
	let {
		rows,
		value,
		pick,
		name
	}: { rows: readonly { value: T; label: string }[]; value: T; pick: (value: T) => void; name: string } = $props();
</script>

<RadioGroup.Root aria-label={name} {value} onValueChange={(now) => pick(now as T)}>
	{#each rows as row (row.value)}
		<RadioGroup.Item
			value={row.value}
			class={[
				'group flex min-h-34 w-full items-center gap-8 text-left font-label data-[state=checked]:font-strong',
				'pointer-coarse:min-h-46'
			].join(' ')}
		>
			<i class="grid size-20 flex-none place-items-center rounded-full border-2 border-ink bg-well"
				><i class="size-10 rounded-full group-data-[state=checked]:bg-chalk"></i></i
			>
			{row.label}
		</RadioGroup.Item>
	{/each}
</RadioGroup.Root>
