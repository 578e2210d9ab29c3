/** Where marks of a run go on the plan, px. */
import { firstFree, LETTER_PX, type Room } from '../../drawing/labels';
import type { XY } from '../../drawing/viewport';

const APART = 46;

/** Chevrons along a path, pointing the way it falls. */
export function chevrons(path: readonly XY[]): string[] {
	return path.slice(1).flatMap((b, i) => {
		const a = path[i] ?? b;
		const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
		const n = Math.floor(long / APART);
		const [ux, uy] = [(b[0] - a[0]) / (long || 1), (b[1] - a[1]) / (long || 1)];
		return Array.from({ length: n }, (_, k) => {
			const t = ((k + 0.5) / n) * long;
			const [x, y] = [a[0] + ux * t, a[1] + uy * t];
			const at = (along: number, aside: number) =>
				`${(x + ux * along - uy * aside).toFixed(1)} ${(y + uy * along + ux * aside).toFixed(1)}`;
			return `M${at(-2.5, -2.8)}L${at(2.5, 0)}L${at(-2.5, 2.8)}`;
		});
	});
}

/** Spots for a run's name: beside its longest legs, at their middle first. */
export function besideLegs(path: readonly XY[]): XY[] {
	const legs = path.slice(1).map((b, i) => ({ a: path[i] ?? b, b }));
	const long = ({ a, b }: { a: XY; b: XY }) => Math.hypot(b[0] - a[0], b[1] - a[1]);
	return legs
		.sort((p, q) => long(q) - long(p))
		.flatMap(({ a, b }) => {
			const flat = Math.abs(b[0] - a[0]) >= Math.abs(b[1] - a[1]);
			return [0.5, 0.3, 0.7, 0.15, 0.85].flatMap((t): XY[] => {
				const [x, y] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
				return [-1, 1].map((side): XY => (flat ? [x, y + side * 16] : [x + side * 34, y]));
			});
		});
}

export interface Named {
	id: string;
	text: string;
	/** where its name could stand, the best first */
	spots: Iterable<XY>;
	/** what is in the hand is named whatever lies there */
	must: boolean;
}
/** Where names stand: each in its first free spot; what finds none is left out, but what is in the hand. */
export function placed(rows: readonly Named[], taken: Room[]): Map<string, XY> {
	const found = new Map<string, XY>();
	for (const row of [...rows].sort((a, b) => Number(b.must) - Number(a.must))) {
		const wide = row.text.length * LETTER_PX + 14;
		const spots = [...row.spots];
		const whole = spots.filter(([x]) => x > wide / 2); // nothing is cut off at the sheet's edge
		const at = firstFree(whole, wide, 22, taken) ?? (row.must ? (spots[0] ?? null) : null);
		if (at) found.set(row.id, at);
	}
	return found;
}
