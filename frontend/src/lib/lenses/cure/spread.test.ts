import { expect, test } from 'vitest';
import { feet, ownTape, sized, tapeOf, ticksOf } from './spread';

test('a tape holds nought and every foot', () => {
	const tape = tapeOf(
		[
			{ low: 0.2, high: 0.9 },
			{ low: -0.1, high: 0.3 }
		],
		220
	);
	expect([tape.low, tape.high]).toEqual([-0.1, 0.9]);
	expect(tape.x(-0.1)).toBe(10);
	expect(tape.x(0.9)).toBe(210);
	expect(tapeOf([], 100).x(0)).toBe(10);
});

test('marks are even and few', () => {
	expect(ticksOf(0, 1)).toEqual([0, 0.2, 0.4, 0.6, 0.8, 1]);
	expect(ticksOf(22.1, 24.6)).toEqual([22.5, 23, 23.5, 24, 24.5]);
	for (const [low, high] of [
		[0, 0.03],
		[-3, 17],
		[100, 101]
	] as const) {
		const ticks = ticksOf(low, high);
		expect(ticks.length).toBeGreaterThan(2);
		expect(ticks.length).toBeLessThan(8);
	}
});

test('a tape of its own runs from foot to foot, and feet point at it', () => {
	const x = ownTape({ low: 3, high: 7 }, 120);
	expect([x(3), x(7)]).toEqual([10, 110]);
	expect(feet(10, 50, 8)).toContain('M10 8H50');
});

test('a bare figure is inches or millimetres, anything else stays as it was typed', () => {
	expect([sized('1/4', 'ft-in'), sized('-12', 'mm'), sized('2 in', 'ft-in'), sized('', 'mm')]).toEqual([
		'1/4"',
		'-12 mm',
		'2 in',
		'0'
	]);
	expect(sized('-1/2', 'ft-in')).toBe('-1/2"');
});
