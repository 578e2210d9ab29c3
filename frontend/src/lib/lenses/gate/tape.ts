/** Hours on a tape: where they stand, which are written, hours as a person types them. They count from midnight of the pour's day. */
import type { DaySheet } from '../../api/schema';

export interface Tape {
	from: number;
	to: number;
	width: number;
}
export const xOf = (tape: Tape, hour: number): number => ((hour - tape.from) / (tape.to - tape.from)) * tape.width;
export const hourAt = (tape: Tape, x: number): number => tape.from + (x / tape.width) * (tape.to - tape.from);
/** Hours that are written: every one, two, three, four or six, so that each has so many px. */
export function ticks(tape: Tape, room_px = 62): number[] {
	const step = [1, 2, 3, 4, 6, 12].find((one) => (one / (tape.to - tape.from)) * tape.width >= room_px) ?? 24;
	const rows = [];
	for (let hour = Math.ceil(tape.from / step) * step; hour <= tape.to + 1e-9; hour += step) rows.push(hour);
	return rows;
}
/** Where the clock on the wall is ahead of the count: from which hour on, and how far. */
export type Jumps = readonly (readonly number[])[];
const ahead = (jumps: Jumps, hour: number) =>
	jumps.reduce((found, [from = 0, by = 0]) => (hour >= from ? by : found), jumps[0]?.[1] ?? 0);
/** The hour of the count at which the wall shows one. */
export const countOf = (jumps: Jumps, wall: number): number => wall - ahead(jumps, wall - ahead(jumps, wall));
/** 6:30, as a clock on the wall says it on whatever day. */
export function clock(hour: number, jumps: Jumps = []): string {
	const minutes = Math.round((hour + ahead(jumps, hour)) * 60);
	const day = ((minutes % 1440) + 1440) % 1440;
	return `${Math.floor(day / 60)}:${`${day % 60}`.padStart(2, '0')}`;
}
/** What the bench draws: from before the first truck to after the last saw, or to the strength that frost waits for. */
export function span(sheet: DaySheet): { from: number; to: number } {
	const rows = sheet.ribbons.flatMap((row) => [
		...row.events
			.filter((one) => one.span && ['final', 'saw_until', 'saw_from'].includes(one.key))
			.map((one) => one.span?.high_h ?? 0),
		row.freezes_h ?? 0
	]);
	const from = Math.floor(sheet.start_h - 0.6);
	const far = Math.max(from + 15, ...rows.map((hour) => Math.ceil(hour + 0.4)));
	return { from, to: Math.min(far, from + 42) };
}
/** '9:20', '9.20', '920', '9', 'start 6', '6:30 pm': what to do with it; null where it is no hour. */
export function typedHour(text: string): { hour: number; start: boolean } | null {
	const said = text.trim().toLowerCase();
	const found = /^(start\s+)?(\d{1,2})(?:[:.h]?(\d{2}))?\s*(am|pm)?$/.exec(said);
	if (!found) return null;
	const minutes = Number(found[3] ?? 0);
	let hour = Number(found[2]);
	if (found[4]) hour = (hour % 12) + (found[4] === 'pm' ? 12 : 0);
	return hour < 24 && minutes < 60 ? { hour: hour + minutes / 60, start: Boolean(found[1]) } : null;
}
