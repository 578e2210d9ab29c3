/** Underslab: what is buried, and what is in whose way. */
import { lens } from '../lens';

export const underslabLens = lens(
	'underslab',
	'4',
	['services', 'check', 'tests', 'barrier', 'foam', 'tubing', 'clashes'] as const,
	'grid-cols-[minmax(420px,704fr)_minmax(540px,576fr)] max-phone:grid-rows-[344px_auto]'
);
