/** Ground: shots and rod card, laser, build-up, falls, stone, trenches as dug, tests. */
import { lens } from '../lens';

/** in the hand: a strip of plan over the reading */
const HAND =
	'max-phone:[&_h1]:sr-only side:[&_h1]:sr-only side:has-[.rod]:grid-rows-[1fr_64px] ' +
	'max-phone:grid-rows-[clamp(116px,calc(100dvh-534px),330px)_auto] ' +
	'short:max-phone:grid-rows-[clamp(116px,calc(100dvh-516px),330px)_auto]';

export const groundLens = lens(
	'ground',
	'2',
	['shots', 'rod', 'laser', 'stack', 'falls', 'stone', 'dug', 'tests'] as const,
	`grid-cols-[minmax(400px,620fr)_minmax(560px,660fr)] ${HAND}`,
	{ rod: `grid-cols-[minmax(360px,480fr)_minmax(560px,800fr)] ${HAND}` }
);
export type Tab = (typeof groundLens.tabs)[number];
