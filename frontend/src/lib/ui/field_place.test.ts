import { expect, test } from 'vitest';
import { placeOf } from './field_place';

test('fields of one name on a page have places of their own, and a place that is left is taken again', () => {
	const [first, second] = [placeOf('Depth'), placeOf('Depth')];
	expect(first.key).not.toBe(second.key);
	first.leave();
	expect(placeOf('Depth').key).toBe(first.key);
	expect(placeOf('Width').key).not.toBe(first.key);
});
