/** What lights up on the plan for a moment, because somebody is looking at its name elsewhere. */
import type { XY } from './viewport';

class Lit {
	rings = $state.raw<XY[][]>([]);
}

export const lit = new Lit();
