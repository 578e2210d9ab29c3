/** Exercises that this device has: made ahead while there is a signal, so that practice goes on without one. */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import type { Exercise } from '../api/schema';

export type Units = Exercise['units'];
const KEY = 'practice/ahead';
const READY = 3;
type Queue = Record<string, { ready: number[]; used: number[] }>;

export const keyOf = (kind: string, level: number, units: Units) => `${kind}/${level}/${units}`;
export function queue(): Queue {
	try {
		return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Queue;
	} catch {
		return {};
	}
}
function write(rows: Queue): void {
	try {
		localStorage.setItem(KEY, JSON.stringify(rows));
	} catch {
		/* then there are none ahead */
	}
}
const of = (rows: Queue, key: string) => rows[key] ?? { ready: [], used: [] };
const fresh = () => Math.floor(Math.random() * 1_000_000);

/** The seed that comes next: one that is here already, else a new one. */
export function nextSeed(key: string, random = fresh): number {
	return of(queue(), key).ready[0] ?? random();
}
/** It is being done: it waits no more, and may be done again where there is no signal. */
export function used(key: string, seed: number): void {
	const rows = queue();
	const own = of(rows, key);
	rows[key] = {
		ready: own.ready.filter((one) => one !== seed),
		used: [...own.used.filter((one) => one !== seed), seed].slice(-READY)
	};
	write(rows);
}
/** Seeds of this kind that the device has, those not done yet first. */
export const here = (key: string): number[] => [...of(queue(), key).ready, ...of(queue(), key).used];

/** An exercise; without a signal as it was made ahead, null where it was not. offline: nobody answered. */
export async function exercise(
	kind: string,
	level: number,
	seed: number,
	units: Units
): Promise<{ made: Exercise | null; offline: boolean }> {
	try {
		return { made: await api.exercise(kind, level, seed, units), offline: false };
	} catch (error) {
		if (!(error instanceof Offline)) throw error;
		return { made: ((await error.seen())?.body as Exercise | undefined) ?? null, offline: true };
	}
}
/** Make some ahead, one after the other, for these kinds. */
export async function makeAhead(kinds: string[], level: number, units: Units, random = fresh): Promise<void> {
	for (const kind of kinds) {
		const key = keyOf(kind, level, units);
		while (of(queue(), key).ready.length < READY) {
			const seed = random();
			try {
				await api.exercise(kind, level, seed, units);
			} catch (error) {
				if (error instanceof Offline || error instanceof ApiProblem) return;
				throw error;
			}
			const rows = queue();
			const own = of(rows, key);
			rows[key] = { ...own, ready: [...own.ready, seed] };
			write(rows);
		}
	}
}
