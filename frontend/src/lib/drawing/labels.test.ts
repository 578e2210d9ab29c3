import { expect, test } from 'vitest';
import { about, areaLabels, around, besideLabels, firstFree, frame, inside, type Room, standing } from './labels';
import { Viewport, type XY } from './viewport';

const box = (x0: number, y0: number, x1: number, y1: number): XY[] => [
	[x0, y0],
	[x1, y0],
	[x1, y1],
	[x0, y1]
];
const area = (name: string, ring: XY[], under: string[] = []) => {
	const at: XY = [((ring[0]?.[0] ?? 0) + (ring[2]?.[0] ?? 0)) / 2, ((ring[0]?.[1] ?? 0) + (ring[2]?.[1] ?? 0)) / 2];
	return { name, under, at, rings: [ring] };
};
const clash = (rooms: Room[]) =>
	rooms.some((a, i) => rooms.some((b, j) => i < j && a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3]));

test('a hole is not inside', () => {
	const rings = [box(0, 0, 100, 100), box(40, 40, 60, 60)];
	expect([inside(rings, [10, 10]), inside(rings, [50, 50]), inside(rings, [120, 50])]).toEqual([true, false, false]);
});

test('a wide area says everything, a narrow one its name alone, a sliver from outside on a leader', () => {
	const taken: Room[] = [];
	const found = areaLabels(
		[
			area('Hall', box(0, 0, 300, 200), ['6″ S2']),
			area('Bay', box(300, 0, 350, 26), ['4″ S1', '1″ down']),
			area('Ramp', box(300, 26, 312, 200))
		],
		taken,
		box(0, 0, 350, 200)
	);
	expect(found.map((row) => [row.name, row.lines.length, row.leader !== null])).toEqual([
		['Hall', 1, false],
		['Bay', 0, false],
		['Ramp', 0, true]
	]);
	expect(clash(taken)).toBe(false);
});

test('forty strips side by side: no two names meet, and none lies on what stands there already', () => {
	const taken: Room[] = [around([200, 50], 80, 80)];
	const strips = Array.from({ length: 40 }, (_, i) => area(`Zone ${i + 1}`, box(i * 14, 0, i * 14 + 14, 100)));
	const found = areaLabels(strips, taken, box(0, 0, 560, 100));
	expect(found.length).toBeGreaterThan(20);
	expect(clash(taken)).toBe(false);
});

test('names keep off corner letters and sizes', () => {
	const view = new Viewport(0.1, 100, 400);
	const rooms = standing(view, box(0, 0, 3000, 2000), ['10′', '', '10′', '']);
	expect(rooms).toHaveLength(6);
	const spot = firstFree([view.px([0, 0]), ...about(view.px([0, 0]), 10, 90, 10)], 60, 20, rooms);
	expect(spot).not.toBeNull();
	expect(clash(rooms)).toBe(false);
});

test('what stands beside is named in itself, or beside itself on a leader, never past the edge of the sheet', () => {
	const slab = box(100, 100, 300, 250);
	const taken = frame(400, 330);
	const borders = taken.length;
	const wall = { name: 'Orchard wall', ring: box(60, 80, 80, 270) };
	const kerb = { name: 'Kerb of the lane', ring: box(330, 150, 340, 200) };
	const [first, second] = besideLabels([wall, kerb], taken, slab, 400, 330);
	expect([first?.turn, first?.leader]).toEqual([-90, null]);
	expect(second?.leader).not.toBeNull();
	expect(clash(taken.slice(borders))).toBe(false);
	for (const room of taken.slice(borders)) expect(room[0] >= 4 && room[2] <= 396 && room[3] <= 294).toBe(true);
});
