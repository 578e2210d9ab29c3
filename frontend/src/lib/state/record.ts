/** Says a record of the site: kept by the program at once, or held here until it can be. */
import type { NewRecord } from '../api/schema';
import { outbox } from '../outbox/outbox.svelte';
import { w } from '../words/words';
import type { JobStore } from './job.svelte';

export interface Wrong {
	words: string;
	path: string;
}
/** Whether the program has it: `false` where it waits on this device. What is wrong with it where it was refused. */
export async function addRecord(
	store: JobStore,
	kind: NewRecord['kind'],
	values: Record<string, unknown>,
	who: string,
	supersedes: string | null = null
): Promise<boolean | Wrong> {
	const record = { kind, values, who, at_device: new Date().toISOString(), supersedes };
	const got = await outbox.say({
		job: store.id,
		name: store.kept?.document.name ?? '',
		base: store.kept?.revision ?? 1,
		author: who,
		said: { kind: 'record', record }
	});
	if (got.is === 'refused') return { words: got.problem.detail, path: got.problem.path };
	if (got.is === 'gone') return { words: w.outbox.letGo, path: '' };
	return got.is !== 'held';
}
export const isWrong = (got: unknown): got is Wrong => typeof got === 'object' && got !== null && 'words' in got;
