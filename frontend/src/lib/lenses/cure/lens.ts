/** Cure: what lies on it, how strong it is, what comes off. */
import { lens } from '../lens';

export const cureLens = lens(
	'cure',
	'-',
	['cover', 'strength', 'work', 'built', 'lessons', 'papers'] as const,
	'grid-cols-[minmax(380px,440fr)_minmax(640px,840fr)] max-phone:grid-rows-[210px_auto] short:max-phone:grid-rows-[136px_auto]'
);
