/** The tape of weeks: the first days wide, then a break, then the rest. */
export const FIRST_DAYS = 5;
const BREAK = 26;
export interface Tape {
	begin: number;
	left: number;
	right: number;
	/** where it breaks, and where it goes on */
	cut: number;
	on: number;
	x: (hour: number) => number;
}
export function tapeOf(begin: number, left: number, right: number, days = 28): Tape {
	const cut = left + (right - left) * 0.72;
	const on = cut + BREAK;
	const first = FIRST_DAYS * 24;
	const x = (hour: number) => {
		const since = Math.min(days * 24, Math.max(0, hour - begin));
		return since <= first ? left + (since / first) * (cut - left) : on + ((since - first) / (days * 24 - first)) * (right - on);
	};
	return { begin, left, right, cut, on, x };
}
export type Row = readonly [number, number, number, number] | readonly number[];
/** How wide a ribbon is at an hour: half of it, by what is likely then. */
export function halfAt(rows: readonly Row[], hour: number, high: number, part: 1 | 2 | 3 = 2): number {
	const at = rows.findIndex((row) => (row[0] as number) >= hour);
	if (at <= 0)
		return (
			1.5 + (at === 0 ? ((rows[0]?.[part] as number) ?? 0) * high : Math.min(1.15, (rows.at(-1)?.[part] as number) ?? 0) * high)
		);
	const [a, b] = [rows[at - 1] as Row, rows[at] as Row];
	const share = (hour - (a[0] as number)) / Math.max(1e-9, (b[0] as number) - (a[0] as number));
	return 1.5 + Math.min(1.15, (a[part] as number) + share * ((b[part] as number) - (a[part] as number))) * high;
}
/** The outline of a ribbon between two hours. */
export function ribbon(rows: readonly Row[], tape: Tape, y: number, high: number, from: number, until: number): string {
	const hours = [from, ...rows.map((row) => row[0] as number).filter((hour) => hour > from && hour < until), until];
	const upper = hours.map((hour) => `${tape.x(hour).toFixed(1)} ${(y - halfAt(rows, hour, high)).toFixed(1)}`);
	const lower = hours.toReversed().map((hour) => `${tape.x(hour).toFixed(1)} ${(y + halfAt(rows, hour, high)).toFixed(1)}`);
	return `M${upper.join('L')}L${lower.join('L')}z`;
}
/** A cut: the earliest on the upper edge, the latest on the lower. */
export const scarf = (rows: readonly Row[], tape: Tape, y: number, high: number, low: number, late: number): string =>
	`M${tape.x(low)} ${y - halfAt(rows, low, high)}L${tape.x(late)} ${y + halfAt(rows, late, high)}`;
