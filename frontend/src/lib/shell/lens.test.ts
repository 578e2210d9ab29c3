import { expect, test } from 'vitest';
import type { JobState } from '../api/schema';
import { knots } from './lens';

const job = (outline: unknown, more: object = {}, findings: string[] = [], unsaid = 0) =>
	({
		squared: null,
		square: false,
		graded: { words: 'to do', flat: false, stuck: false, rod: '', rod_zone: '' },
		document: { outline, walk: null, ...more },
		figure: {
			outline: outline ? { sides: [{ edge: 'E1' }, { edge: null }] } : null,
			findings: findings.map((code) => ({ code, severity: 'stop' })),
			checks: [],
			call_in: Array.from({ length: unsaid }, () => ({ missing: 'x' }))
		}
	}) as unknown as JobState;

test('the knots say in two words how each stage stands', () => {
	expect(knots(job(null)).map((knot) => [knot.state, knot.says])).toEqual([['loop', 'to walk'], ['loop', 'to do'], ['loop', 'to do'], ['loop', 'to do']]);
	expect(knots(job([[0, 0], [1, 0]])).map((knot) => knot.state)).toEqual(['tight', 'loop', 'tight', 'tight']);
	expect(knots(job([[0, 0], [1, 0]], { walk: { text: '1' } }, [], 3)).map((knot) => knot.says)).toEqual(['walk open', 'to do', '1 of 2 sides', '3 unsaid']);
});

test('a racked frame opens the knot of the lines and says by how much', () => {
	const racked = { ...job([[0, 0], [1, 0]]), squared: 'Out 9/16″ at I.', square: false };
	expect(knots(racked)[0]).toMatchObject({ state: 'loop', says: 'out 9/16″' });
	expect(knots({ ...racked, squared: 'Square, inside 1/8″.', square: true })[0]).toMatchObject({ state: 'tight', says: 'square' });
});

test('a laser that moved flags the ground, and a flat base ties it', () => {
	const base = job([[0, 0], [1, 0]]);
	expect(knots({ ...base, graded: { ...base.graded, words: 'laser moved', stuck: true } })[1]).toMatchObject({ state: 'flagged', says: 'laser moved' });
	expect(knots({ ...base, graded: { ...base.graded, words: 'flat', flat: true } })[1]).toMatchObject({ state: 'tight', says: 'flat' });
});

test('an edge short of frost leaves its knot open and says so', () => {
	const base = job([[0, 0], [1, 0]]);
	const checks = ['edge-above-frost', 'edge-bury', 'edge-bury'].map((code) => ({ code, verdict: 'short' }));
	expect(knots({ ...base, figure: { ...base.figure, checks } } as unknown as JobState)[2]).toMatchObject({ state: 'loop', says: '2 short' });
});

test('a stop ties a flag to its stage', () => {
	const rows = knots(job([[0, 0], [1, 0]], {}, ['step-hangs', 'ways-disagree']));
	expect(rows.map((knot) => knot.state)).toEqual(['tight', 'loop', 'flagged', 'flagged']);
});
