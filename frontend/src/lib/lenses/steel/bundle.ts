/** Bars of one size as a bundle, end on: dots on a hexagonal grid, the nearest to the middle first. */
import type { XY } from '../../drawing/viewport';

export function packed(count: number, d: number): { spots: XY[]; r: number } {
	const reach = Math.ceil(Math.sqrt(count)) + 1;
	const grid: XY[] = [];
	for (let row = -reach; row <= reach; row++)
		for (let at = -reach; at <= reach; at++) grid.push([(at + (row % 2 ? 0.5 : 0)) * d, row * d * (Math.sqrt(3) / 2)]);
	const spots = grid.sort((a, b) => Math.hypot(...a) - Math.hypot(...b) || a[1] - b[1] || a[0] - b[0]).slice(0, count);
	return { spots, r: Math.max(d / 2, ...spots.map((p) => Math.hypot(...p) + d / 2)) };
}
