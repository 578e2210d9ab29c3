<script lang="ts">
	/** A press that asks for a file; the same one chosen again counts again. */
	import { act, type ActKind } from './act';
	interface Props {
		label: string;
		/** what it is called where the label alone does not say */
		name?: string;
		accept: string;
		take: (file: File) => unknown;
		kind?: ActKind;
		disabled?: boolean;
	}
	let { label, name, accept, take, kind = 'plain', disabled = false }: Props = $props();
	function chosen(field: HTMLInputElement) {
		const file = field.files?.[0];
		field.value = '';
		if (file) void take(file);
	}
</script>

<label class={act(kind, false, 'relative cursor-pointer focus-within:outline-3')}>
	{label}
	<input
		class="sr-only"
		type="file"
		{accept}
		{disabled}
		aria-label={name ?? label}
		onchange={(event) => chosen(event.currentTarget)}
	/>
</label>
