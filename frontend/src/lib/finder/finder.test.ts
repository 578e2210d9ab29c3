import { expect, test } from 'vitest';
import { finder } from './finder.svelte';

test('letters that come before its box are asked for, and Enter waits until something answers', () => {
	for (const key of ['b', 'u', 'x', 'Backspace', 'Shift']) finder.typed(key);
	expect([finder.asked, finder.entered]).toEqual(['bu', false]);
	finder.typed('Enter');
	expect(finder.entered).toBe(true);
	finder.ask('build');
	expect([finder.asked, finder.at, finder.entered]).toEqual(['build', '', false]);
});
