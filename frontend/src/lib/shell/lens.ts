/** The stages built so far, as the program lists them. Number keys count all eleven stages from the first day. */
import type { JobDoubts } from '../api/schema';
import { w } from '../words/words';

export type LensId = 'lines' | 'ground' | 'edges' | 'order';
/** the screens there are, in the order of the work, each with its number key */
export const LENSES: readonly { id: LensId; key: string }[] = [
	{ id: 'lines', key: '1' },
	{ id: 'ground', key: '2' },
	{ id: 'edges', key: '3' },
	{ id: 'order', key: '8' }
];
export interface Knot {
	id: LensId;
	name: string;
	key: string;
	state: 'tight' | 'loop' | 'flagged';
	says: string;
}

/** A knot a stage: as the program says it stands, a plain loop until it has said so. */
export function knots(stages: JobDoubts['stages'] | null): Knot[] {
	return LENSES.map(({ id, key }) => {
		const told = stages?.find((stage) => stage.id === id);
		return { id, key, name: w.lenses[id], state: told?.state ?? 'loop', says: told?.words ?? '' };
	});
}
