/** Where a bolt may stand: what the ends of its plate, its neighbours and the studs leave, along the wall. Stations in mm. */
import type { BoltTold, WallTold } from '../../api/schema';

import { shownLength } from '../../ui/typed';

export type Part = readonly [number, number];

/** What is left of a part without others. */
export function without(part: Part, others: readonly Part[]): Part[] {
	let rest: Part[] = [part];
	for (const [low, high] of others) {
		rest = rest.flatMap(([a, b]): Part[] => {
			if (high <= a || low >= b) return [[a, b]];
			return [...(low > a ? [[a, low] as Part] : []), ...(high < b ? [[high, b] as Part] : [])];
		});
	}
	return rest;
}
/** Parts that studs and what lies across leave. */
export const clearOf = (wall: WallTold, part: Part): Part[] =>
	without(part, [
		...wall.studs_mm.map((at): Part => [at - wall.stud_clear_mm, at + wall.stud_clear_mm]),
		...wall.blocked.map(([low, high]): Part => [low, high])
	]);
const both = (one: Part, other: Part): Part | null => {
	const found: Part = [Math.max(one[0], other[0]), Math.min(one[1], other[1])];
	return found[0] <= found[1] ? found : null;
};
/** Parts where all three rules take it. */
export function roomsOf(wall: WallTold, bolt: BoltTold): Part[] {
	const part = bolt.ends && bolt.spacing ? both(bolt.ends as Part, bolt.spacing as Part) : null;
	return part ? clearOf(wall, part) : [];
}
/** The nearest station that all three take. */
export function nearest(rooms: readonly Part[], at: number, grid: number): number | null {
	let best: number | null = null;
	for (const [low, high] of rooms) {
		const [first, last] = [Math.ceil(low / grid - 1e-6) * grid, Math.floor(high / grid + 1e-6) * grid];
		if (first > last) continue;
		const spot = Math.min(last, Math.max(first, Math.round(at / grid) * grid));
		if (best === null || Math.abs(spot - at) < Math.abs(best - at)) best = spot;
	}
	return best;
}
/** A station as a tape is read, to the nearest sixteenth or millimetre: 22′-7 1/2″. */
export function stationText(mm: number, units: 'ft-in' | 'mm'): string {
	const grain = units === 'mm' ? 1 : 1.5875;
	return shownLength(Math.round(mm / grain) * grain, units).replace(/′ (?=\d)/, '′-');
}
