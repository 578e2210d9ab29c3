/** Edges: the cut, beams and pads, the top, what it meets, laps and walks, footings, walls, frost, what it adds up to. */
import { lens } from '../lens';

const DRAWN = 'grid-cols-[minmax(420px,680fr)_minmax(540px,600fr)] max-phone:grid-rows-[344px_auto]';

export const edgesLens = lens(
	'edges',
	'3',
	['cut', 'grid', 'top', 'meets', 'walks', 'footings', 'walls', 'frost', 'sum'] as const,
	'grid-cols-[minmax(400px,600fr)_minmax(560px,680fr)] max-phone:grid-rows-[344px_auto]',
	{ grid: DRAWN, top: DRAWN }
);
