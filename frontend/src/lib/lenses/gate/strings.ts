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
		y += here.length * 15;
		const wide = task.name.length * 7.4;
		const spots = [-13, 26];
		const free = (dy: number) =>
			rows.every(
				(one) => Math.abs(one.name.y - (y + dy)) > 12 || Math.abs(one.name.x - x) > (wide + one.task.name.length * 7.4) / 2 + 4
			);
		const dy = spots.find(free) ?? (rows.length % 2 ? 26 : -13);
		rows.push({ task, x, end, y, name: { x: Math.max(board.left + wide / 2, x), y: y + dy, anchor: 'middle' } });
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
