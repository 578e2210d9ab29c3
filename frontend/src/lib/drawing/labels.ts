/** Where names go on a sheet: inside what they name where there is room, else outside it on a leader, never on each other. */
import { cornerName } from './pick.svelte';
import { type SizeLine, sizeLine } from './marks';
import { outward } from './corner_drag';
import type { Plan } from '../api/schema';
import type { Viewport, XY } from './viewport';

/** x0, y0, x1, y1 in px */
export type Room = readonly [number, number, number, number];
export const LETTER_PX = 7.6;
const LINE_PX = 16;

export const around = ([x, y]: XY, wide: number, high: number): Room => [x - wide / 2, y - high / 2, x + wide / 2, y + high / 2];
const FAR = 1e5;
/** What is no place for a name: past the edges of the sheet, under its title, on its scale bar. */
/** from this width the arrow says that it is north */
export const WORDY = 420;
export const frame = (width: number, height: number): Room[] => [
	[-FAR, -FAR, FAR, 56],
	[-FAR, -FAR, 4, FAR],
	[width - 4, -FAR, FAR, FAR],
	[-FAR, height - 36, FAR, FAR],
	/* the north arrow, with its word where there is width for it */
	[width - 62, -FAR, FAR, width >= WORDY ? 92 : 66]
];
const meet = (a: Room, b: Room) => a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];
const corners = ([x0, y0, x1, y1]: Room): XY[] => [
	[x0, y0],
	[x1, y0],
	[x1, y1],
	[x0, y1],
	[(x0 + x1) / 2, (y0 + y1) / 2]
];

/** Whether a point lies in an area given by its rings, holes among them (even-odd). */
export function inside(rings: readonly (readonly XY[])[], [x, y]: XY): boolean {
	let odd = false;
	for (const ring of rings) {
		for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
			const [a, b] = [ring[i] as XY, ring[j] as XY];
			if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) odd = !odd;
		}
	}
	return odd;
}

/** The first of some spots where a box of this size meets nothing; the box is taken from then on. */
export function firstFree(
	spots: Iterable<XY>,
	wide: number,
	high: number,
	taken: Room[],
	fits?: (room: Room) => boolean
): XY | null {
	for (const spot of spots) {
		const room = around(spot, wide, high);
		if (fits?.(room) === false || taken.some((one) => meet(one, room))) continue;
		taken.push(room);
		return spot;
	}
	return null;
}

/** Spots about one, the nearest first: rings of sixteen, `step` px apart. */
export function* about([x, y]: XY, from: number, to: number, step: number): Generator<XY> {
	for (let r = from; r <= to; r += step) {
		for (let k = 0; k < 16; k++) yield [x + r * Math.cos((k * Math.PI) / 8), y + r * Math.sin((k * Math.PI) / 8)];
	}
}

/** What always stands on the sheet: corner letters and the sizes of sides. */
export function standing(view: Viewport, ring: readonly XY[], sizes: readonly string[]): Room[] {
	const px = ring.map((p) => view.px(p));
	const n = px.length;
	return px.flatMap((p, i): Room[] => {
		const next = px[(i + 1) % n] ?? p;
		const out = outward(px[(i + n - 1) % n] ?? p, p, next);
		const letter = around([p[0] + out[0] * 21, p[1] + out[1] * 21], 14 + 10 * cornerName(i).length, 26);
		const text = sizes[i];
		if (!text) return [letter];
		const line: SizeLine = sizeLine(p, next, Math.hypot(p[0] - next[0], p[1] - next[1]) < 62 ? -17 : 34);
		return [letter, around(line.middle, text.length * LETTER_PX + 12, 24)];
	});
}

/** What is marked on the plan itself: tags of beams and pads, openings, what is drawn into the slab. */
export function marked(view: Viewport, plan: Plan, outlined: readonly { at: number[] }[]): Room[] {
	const box = (points: readonly (readonly number[])[]): Room => {
		const px = points.map((p) => view.px(p));
		const [xs, ys] = [px.map((p) => p[0]), px.map((p) => p[1])];
		return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
	};
	return [
		...plan.openings.map(box),
		...plan.beams.map((beam) => {
			const [a, b] = [beam.path[0] ?? [0, 0], beam.path.at(-1) ?? [0, 0]];
			return around(view.px([((a[0] ?? 0) + (b[0] ?? 0)) / 2, ((a[1] ?? 0) + (b[1] ?? 0)) / 2]), 32, 28);
		}),
		...plan.pads.map((pad) => around(view.px(pad.at), 34, 56)),
		...outlined.map((thing) => around(view.px(thing.at), 30, 26))
	];
}

export interface Named {
	name: string;
	/** said under the name where there is room */
	under: readonly string[];
	at: XY;
	rings: readonly (readonly XY[])[];
}
export interface Label {
	name: string;
	lines: readonly string[];
	at: XY;
	/** from the label to what it names; null where it stands in it */
	leader: XY | null;
	/** degrees */
	turn: number;
	/** classes of the edge that keeps it readable over what is drawn */
	on: string;
}
const offSlab = (room: Room, slab: readonly XY[]) => corners(room).every((p) => !inside([slab], p));

/** A label for every area, in px: with all its lines inside, else its name alone, else outside on a leader. */
export function areaLabels(areas: readonly Named[], taken: Room[], slab: readonly XY[]): Label[] {
	return areas.flatMap((area): Label[] => {
		for (const lines of area.under.length ? [area.under, []] : [[]]) {
			const wide = Math.max(area.name.length, ...lines.map((line) => line.length)) * LETTER_PX + 8;
			const high = LINE_PX * (1 + lines.length) + 6;
			const within = (room: Room) => corners(room).every((p) => inside(area.rings, p));
			const at = firstFree([area.at, ...about(area.at, 12, 120, 12)], wide, high, taken, within);
			if (at) return [{ name: area.name, lines, at, leader: null, turn: 0, on: 'halo' }];
		}
		const out = (room: Room) => offSlab(room, slab);
		const at = firstFree(about(area.at, 40, 260, 14), area.name.length * LETTER_PX + 8, 22, taken, out);
		return at ? [{ name: area.name, lines: [], at, leader: area.at, turn: 0, on: 'halo off' }] : [];
	});
}

/** A label for what stands beside: down its middle from the lower end, else beside it on a leader; none where there is no room. */
export function besideLabels(
	things: readonly { name: string; ring: readonly XY[] }[],
	taken: Room[],
	slab: readonly XY[],
	width: number,
	height: number
): Label[] {
	return things.flatMap(({ name, ring }): Label[] => {
		const [xs, ys] = [ring.map((p) => p[0]), ring.map((p) => p[1])];
		const [left, right] = [Math.max(Math.min(...xs), 4), Math.min(Math.max(...xs), width - 4)];
		const [up, down] = [Math.max(Math.min(...ys), 56), Math.min(Math.max(...ys), height - 36)];
		const long = name.length * LETTER_PX + 10;
		const turn = right - left < long ? -90 : 0;
		const [wide, high] = turn ? [20, long] : [long, 22];
		const middle: XY = [(left + right) / 2, (up + down) / 2];
		const spots: XY[] = [];
		for (let y = down - high / 2 - 6; y >= up + high / 2; y -= 8) spots.push([middle[0], y]);
		const at = firstFree(spots, wide, high, taken);
		if (at) return [{ name, lines: [], at, leader: null, turn, on: 'halo off' }];
		const out = firstFree(about(middle, 24, 200, 10), long, 22, taken, (room) => offSlab(room, slab));
		return out ? [{ name, lines: [], at: out, leader: middle, turn: 0, on: 'halo off' }] : [];
	});
}
