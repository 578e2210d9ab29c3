/** Every lens that is built, in the order of the work. A new one is a row here and a view in the page. */
import { cureLens } from './cure/lens';
import { edgesLens } from './edges/lens';
import { gateLens } from './gate/lens';
import { groundLens } from './ground/lens';
import type { Lens } from './lens';
import { embedsLens } from './embeds/lens';
import { linesLens } from './lines/lens';
import { orderLens } from './order/lens';
import { pourLens } from './pour/lens';
import { screedLens } from './screed/lens';
import { steelLens } from './steel/lens';
import { underslabLens } from './underslab/lens';

export const LENSES: readonly Lens[] = [
	linesLens,
	groundLens,
	edgesLens,
	underslabLens,
	steelLens,
	embedsLens,
	screedLens,
	orderLens,
	gateLens,
	pourLens,
	cureLens
];
