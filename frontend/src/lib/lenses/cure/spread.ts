/** Spreads on a tape: a line between two feet, with the middle marked. Pure. */
export interface Span {
	low: number;
	high: number;
}
const STEPS = [1, 2, 2.5, 5];

/** A tape from the lowest foot to the highest, with a little air; a point where all are one. */
export function tapeOf(
	rows: readonly Span[],
	wide: number,
	pad = 10
): { x: (value: number) => number; low: number; high: number } {
	const low = Math.min(0, ...rows.map((row) => row.low));
	const high = Math.max(...rows.map((row) => row.high), low + 1e-6);
	return { low, high, x: (value) => pad + ((value - low) / (high - low)) * (wide - 2 * pad) };
}
/** The same without nought on it: for what runs about a middle of its own. */
export function ownTape(row: Span, wide: number, pad = 10): (value: number) => number {
	const span = row.high - row.low || Math.abs(row.high) || 1;
	return (value) => pad + ((value - row.low) / span) * (wide - 2 * pad);
}
/** Three to six even marks. */
export function ticksOf(low: number, high: number): number[] {
	const span = high - low || 1;
	const power = 10 ** Math.floor(Math.log10(span / 4));
	const step = STEPS.map((one) => one * power).find((one) => span / one <= 5.5) ?? 10 * power;
	const first = Math.ceil(low / step - 1e-9);
	return Array.from({ length: Math.floor(high / step + 1e-9) - first + 1 }, (_, n) => +((first + n) * step).toFixed(6));
}
/** The feet and the line between them. */
export const feet = (left: number, right: number, y: number): string =>
	`M${left - 6} ${y - 5}L${left} ${y}L${left - 6} ${y + 5}M${right + 6} ${y - 5}L${right} ${y}L${right + 6} ${y + 5}M${left} ${y}H${right}`;
/** A size as it is typed here: a bare figure is inches, or millimetres. */
export function sized(text: string, units: 'ft-in' | 'mm'): string {
	const clean = text.trim();
	if (!clean) return '0';
	if (/["'′″]|mm|in|cm|ft|m$/.test(clean)) return clean;
	return units === 'mm' ? `${clean} mm` : `${clean}"`;
}
