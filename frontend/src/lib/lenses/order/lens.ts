/** Order: how much, and the call to the plant. */
import { lens } from '../lens';

export const orderLens = lens(
	'order',
	'8',
	['sum'] as const,
	'grid-cols-[minmax(400px,440fr)_minmax(640px,840fr)] max-phone:grid-rows-[460px_auto]'
);
