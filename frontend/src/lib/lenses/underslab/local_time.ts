/** Times as a crew writes them down: the clock on the wall, without a zone. */
const two = (n: number) => `${n}`.padStart(2, '0');
/** 2026-06-14T09:40 of this moment, or so many minutes later. */
export function wallClock(now: Date, later = 0): string {
	const at = new Date(now.getTime() + later * 60_000);
	const day = [at.getFullYear(), two(at.getMonth() + 1), two(at.getDate())].join('-');
	return `${day}T${[at.getHours(), at.getMinutes(), at.getSeconds()].map(two).join(':')}`;
}
/** Whole minutes since a time on the wall clock; 0 before it. */
export const minutesSince = (then: string, now: Date): number =>
	Math.max(0, Math.floor((now.getTime() - new Date(then).getTime()) / 60_000));
