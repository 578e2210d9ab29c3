/** The knots of the string: a stage each, as the program says it stands. */
import type { JobDoubts } from '../api/schema';
import { LENSES } from '../lenses/all';
import type { LensId } from '../lenses/lens';
import { w } from '../words/words';

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
