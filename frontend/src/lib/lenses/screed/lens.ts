/** Screed: strips, pads, their order, and where the slab may crack. */
import { lens } from '../lens';

export const screedLens = lens(
	'screed',
	'7',
	['strips', 'pads', 'order', 'joints'] as const,
	'grid-cols-[minmax(420px,704fr)_minmax(540px,576fr)] max-phone:grid-rows-[330px_auto]',
	{ pads: 'grid-cols-[minmax(420px,704fr)_minmax(540px,576fr)] max-phone:grid-rows-[130px_auto]' }
);
