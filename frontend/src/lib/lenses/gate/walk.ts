/** The walk as it stands with what waits on this device, and its string round the slab. */
import type { WalkRow } from '../../api/schema';

type State = WalkRow['state'];
/** what a tape is read to */
const CLOSE_MM = 0.8;
const ORDER: State[] = ['mend', 'open', 'second', 'pass', 'absent'];
export const worst = (states: readonly State[]): State => ORDER.find((one) => states.includes(one)) ?? 'pass';
export const tied = (state: State): boolean => state === 'pass' || state === 'absent';

/** A question with the last answer to it that waits here; as whoever answered said, until the program judges it. */
export function kept(row: WalkRow, waiting: readonly Record<string, unknown>[]): WalkRow {
	const own = waiting.filter((one) => one['row'] === row.id).at(-1);
	if (!own) return row;
	return { ...row, state: own['verdict'] as State, by: String(own['by'] ?? ''), note: String(own['note'] ?? '') };
}

/** How far readings are under the least, mm; 0 where they hold, null where nothing was read. */
export function shortBy(readings_mm: readonly (number | null)[], least_mm: number | null): number | null {
	const read = readings_mm.filter((one): one is number => one !== null);
	if (!read.length || least_mm === null) return null;
	const short = least_mm - Math.min(...read);
	return short > CLOSE_MM ? short : 0;
}

/** Texts of readings, one after another with commas. */
export const parts = (text: string): string[] =>
	text
		.split(',')
		.map((one) => one.trim())
		.filter(Boolean);
