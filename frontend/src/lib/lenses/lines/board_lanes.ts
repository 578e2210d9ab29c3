/** Where each cut piece lies on the sheet: a lane a course outside the slab, so that a mark, a letter and a splice never meet. */
import type { CutPiece, StepForm } from '../../api/schema';
import type { XY } from '../../drawing/viewport';

export const LANE = 20;
const FIRST = 5;
const STEP = LANE + 2;
/** shorter than this, a piece takes its mark out on a leader */
export const SHORT = 34;

export interface Laid {
	piece: CutPiece;
	/** the middle of its lane, how long it is there, and how it is turned, degrees */
	at: XY;
	long: number;
	turn: number;
	/** the splice with the next piece of its course, if there is one */
	splice: XY | null;
	/** away from the slab */
	out: XY;
	step: boolean;
}

interface Side {
	a: XY;
	u: XY;
	out: XY;
	long: number;
	lanes: number;
	/** px that the side gives way at either end, at an inside corner */
	cut: [number, number];
}

const turnOf = (u: XY) => {
	let turn = (Math.atan2(u[1], u[0]) * 180) / Math.PI;
	if (turn > 89.9) turn -= 180;
	if (turn < -90.1) turn += 180;
	return turn;
};

/** The sides of a ring in px (anticlockwise on the plan), with how many lanes each has and where it gives way. */
export function sidesOf(ring: readonly XY[], lanesOf: (side: number) => number): Side[] {
	const sides = ring.map((a, i): Side => {
		const b = ring[(i + 1) % ring.length] ?? a;
		const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
		const u: XY = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
		return { a, u, out: [-u[1], u[0]], long, lanes: lanesOf(i), cut: [0, 0] };
	});
	sides.forEach((side, i) => {
		const next = sides[(i + 1) % sides.length];
		if (!next) return;
		const inside = side.u[0] * next.u[1] - side.u[1] * next.u[0] > 0.02; /* y is down on the sheet */
		if (!inside) return;
		const [less, more, end] = side.lanes < next.lanes ? ([side, next, 1] as const) : ([next, side, 0] as const);
		if (more.lanes) less.cut[end] = FIRST + more.lanes * STEP;
	});
	return sides;
}

/** Every piece in its lane. scale: px for a millimetre. */
export function laid(
	ring: readonly XY[],
	pieces: readonly CutPiece[],
	steps: readonly (StepForm & { px: XY[] })[],
	scale: number
): Laid[] {
	const lanes = new Map<number, number>();
	for (const piece of pieces) if (piece.side >= 0) lanes.set(piece.side, Math.max(lanes.get(piece.side) ?? 0, piece.course + 1));
	const sides = sidesOf(ring, (side) => lanes.get(side) ?? 0);
	const same = (one: CutPiece, two: CutPiece) => one.side === two.side && one.course === two.course && one.where === two.where;
	return pieces.flatMap((piece): Laid[] => {
		const more = pieces.some((one) => same(one, piece) && one.at_mm > piece.at_mm + 1);
		if (piece.side < 0) {
			const step = steps.find((one) => `step ${one.name}` === piece.where);
			const [a, b] = [step?.px[0], step?.px.at(-1)];
			return a && b ? [onLine(piece, { a, b, away: 0, more, scale })] : [];
		}
		const side = sides[piece.side];
		if (!side) return [];
		const from = Math.max(piece.at_mm * scale, side.cut[0]);
		const to = Math.min((piece.at_mm + piece.mm) * scale, side.long - side.cut[1] + 8);
		const away = FIRST + piece.course * STEP + LANE / 2;
		const spot = (along: number): XY => [
			side.a[0] + side.u[0] * along + side.out[0] * away,
			side.a[1] + side.u[1] * along + side.out[1] * away
		];
		const splice = more ? spot(to) : null;
		return [
			{ piece, at: spot((from + to) / 2), long: Math.max(6, to - from), turn: turnOf(side.u), splice, out: side.out, step: false }
		];
	});
}

function onLine(piece: CutPiece, line: { a: XY; b: XY; away: number; more: boolean; scale: number }): Laid {
	const { a, b, scale } = line;
	const all = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
	const u: XY = [(b[0] - a[0]) / all, (b[1] - a[1]) / all];
	const [from, to] = [piece.at_mm * scale, Math.min((piece.at_mm + piece.mm) * scale, all)];
	const spot = (along: number): XY => [a[0] + u[0] * along, a[1] + u[1] * along];
	return {
		piece,
		at: spot((from + to) / 2),
		long: Math.max(6, to - from),
		turn: turnOf(u),
		splice: line.more ? spot(to) : null,
		out: [-u[1], u[0]],
		step: true
	};
}
