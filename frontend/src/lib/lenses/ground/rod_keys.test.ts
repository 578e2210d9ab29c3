import { describe, expect, it } from 'vitest';
import { partsOf, saidOf, totalOf } from './rod_keys';

describe('rod keys', () => {
	it('says every sixteenth so that its parts add up again', () => {
		for (let all = 0; all < 192 * 3; all++) expect(totalOf(partsOf(all))).toBe(all);
	});
	it('says fractions in their least terms', () => {
		expect(saidOf({ feet: 4, inches: 10, sixteenths: 14 })).toBe(`4' 10 7/8"`);
		expect(saidOf({ feet: 4, inches: 0, sixteenths: 8 })).toBe(`4' 0 1/2"`);
		expect(saidOf({ feet: 0, inches: 11, sixteenths: 15 })).toBe(`0' 11 15/16"`);
		expect(saidOf({ feet: 5, inches: 2, sixteenths: 0 })).toBe(`5' 2"`);
	});
	it('nudges over a foot and never under nothing', () => {
		expect(saidOf(partsOf(totalOf({ feet: 4, inches: 11, sixteenths: 15 }) + 1))).toBe(`5' 0"`);
		expect(partsOf(-3)).toEqual({ feet: 0, inches: 0, sixteenths: 0 });
	});
});
