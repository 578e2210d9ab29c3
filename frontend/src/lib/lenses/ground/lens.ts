/** Ground: shots and rod card, laser, build-up, falls, stone, trenches as dug, tests. */
import { lens } from '../lens';

export const groundLens = lens(
	'ground',
	'2',
	['shots', 'rod', 'laser', 'stack', 'falls', 'stone', 'dug', 'tests'] as const,
	'grid-cols-[minmax(400px,620fr)_minmax(560px,660fr)] max-phone:[&_h1]:sr-only side:[&_h1]:sr-only ' +
		'max-phone:grid-rows-[clamp(116px,calc(100dvh-534px),330px)_auto] side:has-[.rod]:grid-rows-[1fr_64px] ' +
		'short:max-phone:grid-rows-[clamp(116px,calc(100dvh-516px),330px)_auto]'
);
export type Tab = (typeof groundLens.tabs)[number];
