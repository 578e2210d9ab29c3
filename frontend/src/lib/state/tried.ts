/** What a stage says with what is being tried on top of it. Where that is refused, what it says of what is kept: a wrong call, made
 * before the first answer came, must not leave the sheet empty. */
import { ApiProblem } from '../api/client';
import type { Edit, JobStore } from './job.svelte';
import { Resource } from './resource.svelte';

export function tried<T>(
	store: Pick<JobStore, 'id' | 'onTop'>,
	ask: (id: string, body: { edits: Edit[] }) => Promise<T>
): Resource<T> {
	return new Resource<T>(async () => {
		const edits = store.onTop;
		try {
			return await ask(store.id, { edits });
		} catch (error) {
			if (!edits.length || !(error instanceof ApiProblem)) throw error;
			return ask(store.id, { edits: [] });
		}
	});
}
