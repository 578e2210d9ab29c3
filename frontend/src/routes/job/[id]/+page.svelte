<script lang="ts">
	/** A slab by its address alone: its first stage that is not tied yet. */
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { api } from '#lib/api/api.ts';
	import { knots } from '#lib/shell/knots.ts';
	$effect(() => {
		const id = page.params['id'] ?? '';
		const to = (lens: string) => void goto(`/job/${id}/${lens}`, { replace: true });
		api.doubts(id).then(
			(told) => to(knots(told.stages).find((knot) => knot.state !== 'tight')?.id ?? 'order'),
			() => to('lines')
		);
	});
</script>
