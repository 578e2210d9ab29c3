/** Embeds: walls that will stand on the slab, their bolts, straps and plates, and setting them on pour day. */
import { lens } from '../lens';

export const embedsLens = lens(
	'embeds',
	'6',
	['walls', 'bolts', 'straps', 'setting'] as const,
	'grid-cols-[minmax(420px,704fr)_minmax(540px,576fr)] max-phone:grid-rows-[300px_auto]',
	{ setting: 'grid-cols-[minmax(420px,704fr)_minmax(540px,576fr)] max-phone:grid-rows-[22svh_auto]' }
);
