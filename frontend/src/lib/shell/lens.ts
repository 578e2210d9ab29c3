/** The stages built so far. Number keys count all eleven stages from the first day. */
import type { JobState } from '../api/schema';
import { w } from '../words/words';

export type LensId = 'lines' | 'ground' | 'edges' | 'order';
export interface Knot {
	id: LensId;
	name: string;
	key: string;
	state: 'tight' | 'loop' | 'flagged';
	says: string;
}

/** 'Out 9/16″ at I.' as 'out 9/16″'. */
export const saidShort = (verdict: string): string => {
	const out = verdict.match(/^Out (.+?) at/);
	return out ? `out ${out[1]}` : verdict.startsWith('Not') ? 'not settled' : 'do not fit';
};

export function knots(job: JobState): Knot[] {
	const { document: plan, figure } = job;
	const stops = figure.findings.filter((doubt) => doubt.severity === 'stop');
	const sides = plan.outline?.length ?? 0;
	const named = figure.outline?.sides.filter((side) => side.edge).length ?? 0;
	const unsaid = figure.call_in.filter((line) => line.missing).length;
	const edgeStop = stops.some((doubt) => doubt.code === 'step-hangs');
	const short = new Set(figure.checks.filter((check) => check.verdict === 'short').map((check) => check.code)).size;
	const orderStop = stops.some((doubt) => doubt.code === 'ways-disagree');
	return [
		{
			id: 'lines',
			name: w.lenses.lines,
			key: '1',
			state: sides && !plan.walk && (job.squared === null || job.square) ? 'tight' : 'loop',
			says: plan.walk ? 'walk open' : !sides ? 'to walk' : job.squared === null ? 'closes' : job.square ? 'square' : saidShort(job.squared)
		},
		{
			id: 'ground',
			name: w.lenses.ground,
			key: '2',
			state: job.graded.stuck ? 'flagged' : job.graded.flat ? 'tight' : 'loop',
			says: job.graded.words
		},
		{
			id: 'edges',
			name: w.lenses.edges,
			key: '3',
			state: edgeStop ? 'flagged' : named > 0 && !short ? 'tight' : 'loop',
			says: edgeStop ? 'step hangs' : !sides ? 'to do' : short ? `${short} short` : named ? `${named} of ${sides} sides` : 'all plain'
		},
		{
			id: 'order',
			name: w.lenses.order,
			key: '8',
			state: orderStop ? 'flagged' : sides > 0 && unsaid === 0 ? 'tight' : 'loop',
			says: orderStop ? 'ways disagree' : sides ? (unsaid ? `${unsaid} unsaid` : 'say it') : 'to do'
		}
	];
}
