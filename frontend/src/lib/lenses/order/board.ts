/** The board over twenty pours, and what short and long come to as slips. Volumes m3, money in cents. */
import type { SureTold, WeighedTold } from '../../api/schema';

/** How many of the pours stand over an order. */
export const shortOf = (pours: readonly number[], order_m3: number): number =>
	pours.filter((one) => one > order_m3 + 1e-9).length;

/** The row of an order; the nearest where none stands on it. */
export function rowOf(told: Pick<SureTold, 'rows' | 'called'>, order_m3: number): WeighedTold {
	if (Math.abs(told.called.order_m3 - order_m3) < 1e-6) return told.called;
	return told.rows.reduce(
		(best, row) => (Math.abs(row.order_m3 - order_m3) < Math.abs(best.order_m3 - order_m3) ? row : best),
		told.called
	);
}
/** Five rows: about the one that costs least, the order that is looked at among them. */
export function rowsAbout(told: Pick<SureTold, 'rows' | 'best' | 'called'>, order_m3: number): WeighedTold[] {
	const rows = told.rows;
	const at = rows.findIndex((row) => Math.abs(row.order_m3 - told.best.order_m3) < 1e-6);
	const from = Math.max(0, Math.min(at - 2, rows.length - 5));
	const five = rows.slice(from, from + 5);
	const own = rowOf(told, order_m3);
	if (five.some((row) => Math.abs(row.order_m3 - own.order_m3) < 1e-6)) return five;
	return own.order_m3 < (five[0]?.order_m3 ?? 0) ? [own, ...five.slice(0, 4)] : [...five.slice(-4), own];
}
export interface Scale {
	low: number;
	high: number;
	/** whole steps from the lowest to the highest */
	steps: number[];
}
/** What the drawing reaches over: every pour, the order and the one before, a step beyond. */
export function scaleOf(pours: readonly number[], also: readonly number[], step: number): Scale {
	const all = [...pours, ...also];
	const first = Math.max(0, Math.floor(Math.min(...all) / step + 1e-6) - 1);
	const last = Math.ceil(Math.max(...all) / step - 1e-6) + 1;
	const steps = Array.from({ length: last - first + 1 }, (_, i) => (first + i) * step);
	return { low: first * step, high: last * step, steps };
}
const SLIPS = [500, 1000, 2500, 5000, 10000, 25000, 50000, 100000, 250000, 500000, 1000000];
export const MOST_SLIPS = 26;
/** What one slip stands for, so that the dearest row that is shown has no more than fit. */
export const slipCents = (rows: readonly { short_cents: number; long_cents: number }[]): number => {
	const cheap = [...rows].sort((a, b) => a.short_cents + a.long_cents - b.short_cents - b.long_cents)[2] ?? rows[0];
	const most = cheap ? cheap.short_cents + cheap.long_cents : 0;
	return SLIPS.find((slip) => most / slip <= MOST_SLIPS) ?? 1000000;
};
/** Money without cents: $1,234. */
export const dollars = (cents: number): string => `$${Math.round(cents / 100).toLocaleString('en')}`;
