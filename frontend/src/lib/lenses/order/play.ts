/** The pour played: how far each part of the floor is filled at a minute, and where the front stands. Minutes after the first truck. */
import type { DeliveryTold, PartTold, TruckTold } from '../../api/schema';

/** Straight between known steps (minute, value); nothing before the first, the last after it. */
export function between(steps: readonly (readonly number[])[], minute: number): number {
	let before = steps[0];
	if (!before || minute <= (before[0] ?? 0)) return before && minute >= (before[0] ?? 0) ? (before[1] ?? 0) : 0;
	for (const step of steps) {
		const [at = 0, value = 0] = step;
		if (minute <= at) {
			const [from = 0, had = 0] = before;
			return at > from ? had + ((minute - from) / (at - from)) * (value - had) : value;
		}
		before = step;
	}
	return before[1] ?? 0;
}
/** How much of a part is in at a minute, 0 to 1. */
export const shareOf = (part: PartTold, minute: number): number => whole(between(part.steps as number[][], minute));
const whole = (share: number) => (share > 0.995 ? 1 : share);
/** m3 in the forms at a minute. */
export const placedOf = (told: DeliveryTold, minute: number): number =>
	told.trucks.reduce((sum, one) => sum + unloadedOf(one, minute), 0);
/** m3 that a truck has given at a minute. */
export function unloadedOf(one: TruckTold, minute: number): number {
	if (minute <= one.unload_min) return 0;
	if (minute >= one.end_min) return one.m3;
	return (one.m3 * (minute - one.unload_min)) / (one.end_min - one.unload_min);
}
/** The minute at which so much more is in the forms; the end where that is never. */
export function minuteOf(told: DeliveryTold, m3: number): number {
	let before = 0;
	for (const one of [...told.trucks].sort((a, b) => a.unload_min - b.unload_min)) {
		if (m3 <= before + one.m3 + 1e-9) return one.unload_min + ((m3 - before) / one.m3) * (one.end_min - one.unload_min);
		before += one.m3;
	}
	return told.done_min;
}
