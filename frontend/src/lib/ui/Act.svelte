<script lang="ts">
	/** A button, or a link that looks like one. kind: main for the one that keeps, quiet for those beside it. */
	import { Button, type ButtonRootProps } from 'bits-ui';
	import { act, type ActKind } from './act';
	type Props = ButtonRootProps & { kind?: ActKind; on?: boolean; class?: string };
	let { kind = 'plain', on = false, class: more = '', children, ...rest }: Props = $props();
</script>

<Button.Root class={act(kind, on, more)} {...rest}>{@render children?.()}</Button.Root>
