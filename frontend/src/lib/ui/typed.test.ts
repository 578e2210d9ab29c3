import { describe, expect, it } from 'vitest';
import { bothLengths, shownLength, typedLength } from './typed';

describe('a stored length as it would be typed', () => {
	it('is reduced sixteenths, in feet from six on', () => {
		expect([12.7, 203.2, 1.5875, 7480.3, 3657.6, 0].map((mm) => typedLength(mm, 'ft-in'))).toEqual([
			'1/2"',
			'8"',
			'1/16"',
			`24' 6 1/2"`,
			`12'`,
			'0"'
		]);
	});
	it('never shows long decimals of an inch', () => {
		expect([75, 13.97, 100, -75].map((mm) => typedLength(mm, 'ft-in'))).toEqual(['75 mm', '0.55"', '100 mm', '-75 mm']);
		expect(typedLength(75.04, 'mm')).toBe('75');
	});
	it('is shown with primes, and ways in both systems', () => {
		expect(shownLength(7480.3, 'ft-in')).toBe('24′ 6 1/2″');
		expect([6.35, 75].map(bothLengths)).toEqual(['1/4″ (6.35 mm)', '75 mm']);
	});
});
