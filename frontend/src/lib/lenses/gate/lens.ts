/** Gate: may we pour? So far its day: weather, sun, drying, the set clock, when to start. */
import { lens } from '../lens';

export const gateLens = lens(
	'gate',
	'9',
	['day'] as const,
	'grid-cols-[minmax(440px,600fr)_minmax(600px,680fr)] max-phone:grid-rows-[250px_auto]'
);
