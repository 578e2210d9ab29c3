/** The ten lines of a first slab: where each is done, and by what one sees that it is. */
import type { JobDoubts } from '../api/schema';
import type { LensId } from '../lenses/lens';
import { firstSlabWords } from '../words/first_slab';

export type LineKey = keyof typeof firstSlabWords.lines;
export interface Stands {
	outline: boolean;
	/** something lies under the slab */
	stack: boolean;
	/** a day is said */
	day: boolean;
	stages: JobDoubts['stages'];
}
interface Line {
	key: LineKey;
	lens: LensId;
	tab: string;
	done: (now: Stands) => boolean;
}
const tight = (now: Stands, lens: LensId) => now.stages.find((one) => one.id === lens)?.state === 'tight';
const wordsOf = (now: Stands, lens: LensId) => now.stages.find((one) => one.id === lens)?.words ?? '';
const begun = (now: Stands, lens: LensId, untouched: string) => {
	const words = wordsOf(now, lens);
	return words !== untouched && words !== '';
};

export const LINES: readonly Line[] = [
	{ key: 'outline', lens: 'lines', tab: 'walk', done: (now) => now.outline },
	{ key: 'square', lens: 'lines', tab: 'square', done: (now) => /square/.test(wordsOf(now, 'lines')) },
	{ key: 'edge', lens: 'edges', tab: 'cut', done: (now) => tight(now, 'edges') },
	{ key: 'stack', lens: 'ground', tab: 'stack', done: (now) => now.stack },
	{ key: 'laser', lens: 'ground', tab: 'laser', done: (now) => begun(now, 'ground', 'to do') },
	{ key: 'steel', lens: 'steel', tab: 'way', done: (now) => tight(now, 'steel') },
	{ key: 'strips', lens: 'screed', tab: 'strips', done: (now) => tight(now, 'screed') },
	{ key: 'sure', lens: 'order', tab: 'sure', done: () => false },
	{ key: 'call', lens: 'order', tab: 'call', done: (now) => now.day },
	{ key: 'walk', lens: 'gate', tab: 'holds', done: () => false }
];

/** The first line that is not done and was not passed over; the number of lines where all are. */
export function lineAt(now: Stands, passed: readonly LineKey[]): number {
	const at = LINES.findIndex((line) => !passed.includes(line.key) && !line.done(now));
	return at < 0 ? LINES.length : at;
}
