import { expect, test } from 'vitest';
import { foldedLoads } from './loads';

test('three loads are said one by one, more of them by how many of each', () => {
	expect(foldedLoads(['9', '9', '5 1/2'])).toEqual(['9', '9', '5 1/2']);
	expect(foldedLoads([...Array<string>(10).fill('9'), '5 1/2'])).toEqual(['10 of 9', '5 1/2']);
	expect(foldedLoads(['7', '9', '7', '7'])).toEqual(['7', '9', '2 of 7']);
});
