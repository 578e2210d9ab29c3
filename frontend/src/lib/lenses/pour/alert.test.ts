/** An act is told once, when it falls due. */
import { expect, it } from 'vitest';
import { falls } from './alert.svelte';

it('tells each act once, and none before it is due', () => {
	const told = new Set<string>();
	expect([falls(told, 'float/z1', false), falls(told, 'float/z1', true), falls(told, 'float/z1', true)]).toEqual([
		false,
		true,
		false
	]);
	expect(falls(told, 'say/last', true)).toBe(true);
});
