/** What things on the drawing are called, so that an edit means the same thing later. A side is named by its first corner. */
import type { JobState } from '../api/schema';

type Plan = JobState['document'];
export type Listed = 'zones' | 'edges' | 'beams' | 'pads' | 'recesses' | 'side_pads' | 'kerbs' | 'piles' | 'existing' | 'forms';

/** The id of a corner, or of the side that begins there; '' where there is none. */
export const cornerId = (plan: Plan | null | undefined, at: number | null): string =>
	at === null ? '' : (plan?.corner_ids[at] ?? '');
/** The id of a row of a list. */
export const rowId = (plan: Plan | null | undefined, list: Listed, at: number): string => plan?.[list][at]?.id ?? '';
/** Where a corner stands now, null where it is gone. */
export function cornerPlace(plan: Plan | null | undefined, id: string | null): number | null {
	const at = id ? (plan?.corner_ids.indexOf(id) ?? -1) : -1;
	return at < 0 ? null : at;
}
/** Where a row stands now, null where it is gone. */
export function rowPlace(plan: Plan | null | undefined, list: Listed, id: string | null): number | null {
	const at = id ? (plan?.[list].findIndex((row) => row.id === id) ?? -1) : -1;
	return at < 0 ? null : at;
}
