/** Lines: walk it, look around, set it out, square it, straighten it, form it, cut the boards. */
import { lens } from '../lens';

export const linesLens = lens(
	'lines',
	'1',
	['walk', 'around', 'setout', 'square', 'straight', 'forms', 'boards'] as const,
	'grid-cols-[minmax(400px,704fr)_minmax(520px,576fr)] max-phone:grid-rows-[344px_auto]'
);
