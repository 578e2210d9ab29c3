/** How many times too far out a racked frame is drawn: the worst corner moves about 34 px on the sheet. */
import type { Squared } from '../../api/schema';

const SEEN_PX = 34;
const NICE = [1, 2, 5, 10, 20, 30, 40, 50, 75, 100, 150, 200, 300, 500, 1000];

export function exaggeration(squared: Pick<Squared, 'moves'>, pxPerMm: number): number {
	const most = Math.max(0, ...squared.moves.map((move) => move.distance_mm));
	if (most < 0.3) return 1;
	const wanted = SEEN_PX / (most * pxPerMm);
	return [...NICE].reverse().find((times) => times <= wanted) ?? 1;
}
