/** Ground: shots and rod card, laser, build-up, falls, stone, trenches as dug, tests. */
import { lens } from '../lens';

export const groundLens = lens(
	'ground',
	'2',
	['shots', 'rod', 'laser', 'stack', 'falls', 'stone', 'dug', 'tests'] as const,
	'grid-cols-[minmax(400px,620fr)_minmax(560px,660fr)] max-phone:grid-rows-[204px_auto] max-phone:[&_h2]:hidden'
);
export type Tab = (typeof groundLens.tabs)[number];
