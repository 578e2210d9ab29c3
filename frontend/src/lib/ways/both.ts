/** Lengths of the ways are shown in both units, and read back without the second. */
import type { Problem } from '../api/schema';
import { bothLengths } from '../ui/typed';
import type { WaysStore } from './ways.svelte';

export const long = (mm: number) =>
	mm >= 1000 ? `${+(mm / 304.8).toFixed(2)}′ (${+(mm / 1000).toFixed(2)} m)` : bothLengths(mm);
export const clean = (typed: string) => typed.replace(/\([^)]*\)/g, '').trim();
/** What is wrong with a field, as its Field wants it. */
export const problemOf = (store: WaysStore, at: string): Problem | null =>
	store.problem && store.problemAt === at
		? { type: '', code: '', title: '', status: 422, detail: store.problem, path: '', choices: [], head: null }
		: null;
