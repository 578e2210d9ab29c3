import { expect, test } from 'vitest';
import { flagPlaces } from './flags';

test('a flag stands at what one has open, in the middle where that is nothing, and never on another', () => {
	const rows = [
		{ device: 'a', spot: [100, 50] as [number, number] },
		{ device: 'b', spot: null },
		{ device: 'c', spot: [110, 60] as [number, number] },
		{ device: 'd', spot: [110, 60] as [number, number] }
	];
	const placed = flagPlaces(rows, [300, 200]);
	expect(placed[0]).toEqual({ device: 'a', at: [100, 50] });
	expect(placed[1]).toEqual({ device: 'b', at: [300, 200] });
	for (const one of placed)
		for (const two of placed)
			if (one !== two) expect(Math.abs(one.at[0] - two.at[0]) >= 92 || Math.abs(one.at[1] - two.at[1]) >= 48).toBe(true);
});
