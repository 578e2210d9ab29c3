/** Appends a record of the site. */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import type { NewRecord, RecordRow } from '../api/schema';
import type { JobStore } from './job.svelte';

export interface Wrong {
	words: string;
	path: string;
}
/** The record as kept, or what is wrong with it. */
export async function addRecord(store: JobStore, kind: NewRecord['kind'], values: Record<string, unknown>, who: string, supersedes: string | null = null): Promise<RecordRow | Wrong> {
	const body = { id: crypto.randomUUID(), kind, revision: store.kept?.revision ?? 1, values, who, at_device: new Date().toISOString(), supersedes };
	try {
		return await api.record(store.id, body);
	} catch (error) {
		if (error instanceof ApiProblem) return { words: error.problem.detail, path: error.problem.path };
		if (error instanceof Offline) return { words: 'No answer from the program. What you typed is still here.', path: '' };
		throw error;
	}
}
export const isWrong = (got: RecordRow | Wrong): got is Wrong => 'words' in got;
