/** Where tasks lie on the string over days: a column a day, a line a trade, names that keep clear of one another. */
import type { DayColumn, LaneTold, TaskTold } from '../../api/schema';

export interface Board {
	left: number;
	top: number;
	column: number;
	lane: number;
}
export const laneY = (board: Board, lanes: readonly LaneTold[], key: string): number =>
	board.top + (lanes.findIndex((one) => one.key === key) + 0.5) * board.lane;
export const dayX = (board: Board, day: number): number => board.left + (day + 0.5) * board.column;
/** The day under a point of the string, kept within what is drawn. */
export const dayAt = (board: Board, x: number, count: number): number =>
	Math.min(count - 1, Math.max(0, Math.floor((x - board.left) / board.column)));

export interface Knotted {
	task: TaskTold;
	x: number;
	end: number;
	y: number;
	name: { x: number; y: number; anchor: 'start' | 'middle' };
}
/** Every task on its line; of those that share a day on one line, each stands a little lower; names go above, else below. */
export function knotted(board: Board, lanes: readonly LaneTold[], tasks: readonly TaskTold[]): Knotted[] {
	const rows: Knotted[] = [];
	for (const task of tasks) {
		let y = laneY(board, lanes, task.lane);
		const [x, end] = [dayX(board, Math.max(-0.4, task.day)), dayX(board, Math.max(-0.4, task.last_day))];
		const here = rows.filter((one) => one.task.lane === task.lane && one.end >= x - 4 && one.x <= end + 4);
		y += here.length * 13;
		const wide = task.name.length * 7.4;
		const clear = (dx: number, dy: number) =>
			rows.every(
				(one) =>
					Math.abs(one.name.y - (y + dy)) > 12 || Math.abs(one.name.x - (x + dx)) > (wide + one.task.name.length * 7.4) / 2 + 4
			);
		const aside = wide / 2 + 13;
		const spots: [number, number][] = here.length
			? [
					[aside, 5],
					[-aside, 5],
					[0, 26]
				]
			: [
					[0, -13],
					[0, 26],
					[aside, 5]
				];
		const [dx, dy] = spots.find(([dx, dy]) => clear(dx, dy)) ?? spots[0]!;
		rows.push({ task, x, end, y, name: { x: Math.max(board.left + wide / 2, x + dx), y: y + dy, anchor: 'middle' } });
	}
	return rows;
}
/** A line between two tasks: straight where it drives the day, else the deeper the more days are to spare. */
export function between(from: { x: number; y: number }, to: { x: number; y: number }, tight: boolean, spare: number): string {
	if (tight) return `M${from.x} ${from.y}L${to.x} ${to.y}`;
	const sag = Math.min(26, 7 + spare * 5);
	return `M${from.x} ${from.y}Q${(from.x + to.x) / 2} ${(from.y + to.y) / 2 + sag * 2} ${to.x} ${to.y}`;
}
/** Runs of days that are alike, as [first, last]. */
export function runs(days: readonly DayColumn[], is: (day: DayColumn) => boolean): [number, number][] {
	const rows: [number, number][] = [];
	days.forEach((day, i) => {
		if (!is(day)) return;
		const last = rows.at(-1);
		if (last && last[1] === i - 1) last[1] = i;
		else rows.push([i, i]);
	});
	return rows;
}
/** What each task waits for, without what that waits for anyhow. */
export function reduced(tasks: readonly TaskTold[]): Map<string, string[]> {
	const waits = new Map(tasks.map((one) => [one.key, one.waits]));
	const reaches = (from: string, to: string): boolean => (waits.get(from) ?? []).some((key) => key === to || reaches(key, to));
	return new Map(
		tasks.map((one) => [one.key, one.waits.filter((key) => !one.waits.some((other) => other !== key && reaches(other, key)))])
	);
}
/** A name on two lines, parted where they come out most alike. */
export function parted(name: string): [string, string] {
	const words = name.split(' ');
	const cuts = words.slice(1).map((_, i) => [words.slice(0, i + 1).join(' '), words.slice(i + 1).join(' ')] as [string, string]);
	return cuts.sort((a, b) => Math.max(...a.map((one) => one.length)) - Math.max(...b.map((one) => one.length)))[0] ?? [name, ''];
}
