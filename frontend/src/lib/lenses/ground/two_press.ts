/** A reading in two presses, inch and eighth: what each second press would mean, and where the rod goes next. */
import type { XY } from '../../drawing/viewport';
import { partsOf, totalOf } from './rod_keys';

const MM = 25.4 / 16;
export type Mark = 'high' | 'low' | 'inside';
export const EIGHTHS = ['0', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'] as const;

/** What each eighth after this foot and inch would mean; none where it is not known what it should read. */
export function marksOf(feet: number, inches: number, inside_mm: readonly number[] | null): Mark[] {
	const [least, most] = inside_mm ?? [];
	if (least === undefined || most === undefined) return [];
	return EIGHTHS.map((_, eighth) => {
		const mm = totalOf({ feet, inches, sixteenths: eighth * 2 }) * MM;
		return mm < least - 1e-6 ? 'high' : mm > most + 1e-6 ? 'low' : 'inside';
	});
}

/** The marks in words: which eighths are inside, and what less and more would be. */
export function spanOf(marks: readonly Mark[]): { inside: string; less: boolean; more: boolean } {
	const [first, last] = [marks.indexOf('inside'), marks.lastIndexOf('inside')];
	const inside = first < 0 ? '' : first === last ? (EIGHTHS[first] ?? '') : `${EIGHTHS[first]} to ${EIGHTHS[last]}`;
	return { inside, less: marks.includes('high'), more: marks.includes('low') };
}

/** The foot and inch that a reading stands on. */
export function inchOf(mm: number): { feet: number; inches: number } {
	const { feet, inches } = partsOf(mm / MM);
	return { feet, inches };
}

/** Where the rod goes next: where there are too few shots the largest gap, else the worst spot; never where it was just held. */
export function nextSpot(
	shots: { rakes: readonly { at: XY }[]; enough: { enough: boolean; next_at: XY | null } },
	held: XY | null
): XY | null {
	const { enough, rakes } = shots;
	const spots = [
		...(enough.enough ? [] : [enough.next_at]),
		...rakes.map((row) => row.at),
		...(enough.enough ? [enough.next_at] : [])
	];
	const away = (at: XY) => !held || Math.hypot(at[0] - held[0], at[1] - held[1]) > 600;
	return spots.find((at): at is XY => at !== null && away(at)) ?? null;
}
