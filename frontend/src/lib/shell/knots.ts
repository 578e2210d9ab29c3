/** The knots of the string: a stage each, as the program says it stands. */
import type { JobDoubts } from '../api/schema';
import { LENSES } from '../lenses/all';
import type { LensId } from '../lenses/lens';
import { w } from '../words/words';

export interface Knot {
	id: LensId;
	name: string;
	key: string;
	state: 'tight' | 'loop' | 'flagged';
	says: string;
}

/** A knot a stage: as the program says it stands, a plain loop until it has said so. */
export function knots(stages: JobDoubts['stages'] | null): Knot[] {
	return LENSES.map(({ id, key }) => {
		const told = stages?.find((stage) => stage.id === id);
		return { id, key, name: w.lenses[id], state: told?.state ?? 'loop', says: told?.words ?? '' };
	});
}

export interface Seen {
	knot: Knot;
	/** its place on the whole string */
	at: number;
	/** stands by itself before a break: the first that is stuck, too far along to be beside the one that is open */
	pinned: boolean;
}
/** The knots there is room for: all where they have 76 px each, else the open one, its neighbours, and always the first stuck. */
export function seen(rows: readonly Knot[], here: LensId, width_px: number): Seen[] {
	const all = rows.map((knot, at): Seen => ({ knot, at, pinned: false }));
	if (rows.length <= 4 || width_px >= rows.length * 76) return all;
	const open = Math.max(
		0,
		rows.findIndex((row) => row.id === here)
	);
	const first = Math.min(Math.max(0, open - 1), rows.length - 3);
	const near = all.slice(first, first + 3);
	const stuck = all.find((one) => one.knot.state === 'flagged');
	return stuck && !near.includes(stuck) ? [{ ...stuck, pinned: true }, ...near] : near;
}
