/** The days of the yard: this week three times as wide as the two after it; jobs by their pour. */
import type { YardJob } from '../api/schema';
import { dateOf, daysApart, plus } from '../ui/days';

export const SHOWN = 21;
const WIDE = 3;
export const mondayOf = (iso: string): string => plus(iso, -((dateOf(iso).getDay() + 6) % 7));

/** The first day that is drawn: this week's Monday, or that of the first pour ahead where nothing is booked in the weeks from now on. */
export function firstDay(jobs: readonly YardJob[], today: string): string {
	const here = mondayOf(today);
	const days = jobs.flatMap((job) => [job.pour_at?.slice(0, 10) ?? '', ...(job.days ?? []).map((one) => one.on)]).filter(Boolean);
	if (days.some((day) => day >= here && daysApart(here, day) < SHOWN)) return here;
	const ahead = jobs
		.flatMap((job) => (job.pour_at && job.pour_at.slice(0, 10) > today ? [job.pour_at.slice(0, 10)] : []))
		.sort()[0];
	return ahead ? mondayOf(ahead) : here;
}
/** px from the left of the start of a day, counted from the first; under 0 and over the width where it is not drawn. */
export function xOfDay(n: number, width: number): number {
	const unit = width / (7 * WIDE + (SHOWN - 7));
	return n <= 7 ? n * unit * WIDE : 7 * unit * WIDE + (n - 7) * unit;
}
export const middleOf = (n: number, width: number): number => (xOfDay(n, width) + xOfDay(n + 1, width)) / 2;

/** Those to be poured first, then those without a day, the last changed first; what has gone by comes after what lies ahead. */
export function byPour(jobs: readonly YardJob[], today: string): YardJob[] {
	const rank = (job: YardJob) => (!job.pour_at ? 1 : job.pour_at.slice(0, 10) < today ? 2 : 0);
	return [...jobs].sort((a, b) => rank(a) - rank(b) || (a.pour_at ?? '').localeCompare(b.pour_at ?? ''));
}
/** Jobs that pour within an hour of another on the same day. */
export function together(jobs: readonly YardJob[]): Set<string> {
	const minutes = (job: YardJob) => +(job.pour_at ?? '').slice(11, 13) * 60 + +(job.pour_at ?? '').slice(14, 16);
	return new Set(
		jobs
			.filter((job) =>
				jobs.some(
					(other) =>
						other.id !== job.id &&
						!!job.pour_at &&
						other.pour_at?.slice(0, 10) === job.pour_at.slice(0, 10) &&
						Math.abs(minutes(job) - minutes(other)) < 60
				)
			)
			.map((job) => job.id)
	);
}
/** What is poured in a week from a day on, m3. */
export const weekOf = (jobs: readonly YardJob[], from: string): YardJob[] =>
	jobs.filter((job) => job.pour_at && job.pour_at.slice(0, 10) >= from && job.pour_at.slice(0, 10) < plus(from, 7));
