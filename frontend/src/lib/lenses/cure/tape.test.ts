/** The tape breaks once, a ribbon is as wide as it is strong, a cut runs from early to late. */
import { expect, it } from 'vitest';
import { halfAt, ribbon, scarf, tapeOf } from './tape';

const rows = [
	[8, 0, 0, 0],
	[56, 0.2, 0.4, 0.6],
	[680, 0.8, 1, 1.2]
] as const;
it('gives the first days most of the width and never runs back', () => {
	const tape = tapeOf(8, 100, 700);
	const xs = [8, 40, 128, 129, 300, 680, 900].map(tape.x);
	expect(xs).toEqual([...xs].sort((a, b) => a - b));
	expect([xs[0], xs.at(-1)]).toEqual([100, 700]);
	expect(tape.x(128)).toBeCloseTo(tape.cut);
	expect(tape.x(129) - tape.cut).toBeGreaterThan(25);
});
it('is as wide as it is strong', () => {
	expect(halfAt(rows, 8, 10)).toBeCloseTo(1.5);
	expect(halfAt(rows, 32, 10)).toBeCloseTo(3.5);
	expect(halfAt(rows, 2000, 10)).toBeCloseTo(11.5);
	const tape = tapeOf(8, 100, 700);
	expect(ribbon(rows, tape, 50, 10, 8, 680).startsWith('M100.0 48.5')).toBe(true);
	expect(scarf(rows, tape, 50, 10, 56, 128)).toBe(`M${tape.x(56)} ${50 - 5.5}L${tape.x(128)} ${50 + halfAt(rows, 128, 10)}`);
});
