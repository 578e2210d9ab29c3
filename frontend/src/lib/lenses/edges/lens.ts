/** Edges: the cut, beams and pads, the top, what it meets, frost, what it adds up to. */
import { lens } from '../lens';

export const edgesLens = lens(
	'edges',
	'3',
	['cut', 'grid', 'top', 'meets', 'frost', 'sum'] as const,
	'grid-cols-[minmax(400px,600fr)_minmax(560px,680fr)] max-phone:grid-rows-[344px_auto]'
);
