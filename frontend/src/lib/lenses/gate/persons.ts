/** Where people run through a week: a place a stop in its job's lane, a line a person through their stops. */
import type { LaneJob, PersonTold, Stop } from '../../api/schema';

export interface Spot {
	x: number;
	y: number;
	name: string;
	letter: string;
	job: string;
	day: number;
	twice: boolean;
}
export interface LaneBox {
	job: LaneJob;
	y: number;
	high: number;
}
const ROW = 27;
/** Lanes, each as high as its fullest day. */
export function lanesOf(lanes: readonly LaneJob[], stops: readonly Stop[], top: number): LaneBox[] {
	let y = top;
	return lanes.map((job) => {
		const most = Math.max(
			1,
			...stops.filter((one) => one.job === job.id).map((one) => one.people.length + (one.short ? one.short : 0))
		);
		const box = { job, y, high: 44 + most * ROW };
		y += box.high;
		return box;
	});
}
export function spotsOf(
	lanes: readonly LaneBox[],
	stops: readonly Stop[],
	people: readonly PersonTold[],
	dayX: (day: number) => number
): Spot[] {
	return stops.flatMap((stop) => {
		const lane = lanes.find((one) => one.job.id === stop.job);
		if (!lane) return [];
		return stop.people.flatMap((name, i) => {
			const who = people.find((one) => one.name === name);
			return who
				? [
						{
							x: dayX(stop.day),
							y: lane.y + 40 + i * ROW,
							name,
							letter: who.letter,
							job: stop.job,
							day: stop.day,
							twice: who.twice.includes(stop.day)
						}
					]
				: [];
		});
	});
}
/** A person's way from stop to stop; on a day with two, the string forks. */
export function wayOf(spots: readonly Spot[]): string {
	const days = [...new Set(spots.map((one) => one.day))].sort((a, b) => a - b);
	let path = '';
	for (const [i, day] of days.entries()) {
		if (!i) continue;
		for (const from of spots.filter((one) => one.day === days[i - 1]))
			for (const to of spots.filter((one) => one.day === day)) {
				const mid = (from.x + to.x) / 2;
				path += `M${from.x} ${from.y}C${mid} ${from.y} ${mid} ${to.y} ${to.x} ${to.y}`;
			}
	}
	return path;
}
