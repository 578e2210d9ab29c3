import { describe, expect, test } from 'vitest';
import type { JobDoubts, JobState, RecordRow, RuleRow, YardJob } from '../api/schema';
import { everything, find, near } from './found';

const strips = [
	{ number: 7, rings: [[[1, 1]]] },
	{ number: 8, rings: [[[5, 5]]] }
];
const job = {
	id: 'j1',
	document: {
		outline: [[0, 0], [9000, 0], [9000, 6000], [0, 6000]], corner_ids: ['c1', 'c2', 'c3', 'c4'],
		embeds: { walls: [{ id: 'jw1', name: 'Orchard wall', side: 'c4' }], groups: [{ id: 'jg1', name: 'Hoist post' }] }
	},
	figure: {
		outline: { sides: ['A to B', 'B to C', 'C to D', 'D to A'].map((name) => ({ name, text: '30′' })) },
		section_places: [{ kind: 'side', row: 1, mark: 'E1' }],
		concrete: { parts: [
			{ letter: 'a', part: 'Bottling slab', mark: 'S1', zone: 'Bottling', kind: 'slab', numbers: [] },
			{ letter: 'g', part: 'B1 beam below the slab', mark: 'B1', zone: null, kind: 'beam', numbers: [7] }
		] },
		drawing: { zones: [{ name: 'Bottling', rings: [[[0, 0], [9, 0], [9, 6]]] }], strips },
		walls: { drawn: [{ wall: 0, name: 'Stem wall', rings: [[[0, 0], [9, 0], [9, 1]]] }] },
		beside: [{ id: 'h1', name: 'Door ramp', rings: [[[0, 0], [1, 0], [1, 1]]] }]
	}
} as unknown as JobState; // prettier-ignore
const doubts = {
	findings: [
		{ code: 'edge-above-frost', words: 'E1 ends 14″ above frost.', remedy: 'Lay a wing.', stage: 'edges', tabs: ['frost'] }
	]
} as unknown as JobDoubts;
const records = [
	{
		id: 'r1',
		kind: 'taped',
		who: 'Wren',
		at: '2027-05-01T08:00',
		verdict: 'Out 9/16″ at I',
		shown: [],
		superseded: false,
		unread: ''
	},
	{ id: 'r2', kind: 'taped', who: 'Wren', at: '2027-05-02T08:00', verdict: '', shown: [], superseded: true, unread: '' }
] as unknown as RecordRow[];
const jobs = [{ id: 'j2', name: 'Cole Street bus shelter' }] as unknown as YardJob[];
const rules = [{ name: 'edges/bury', title: 'How deep an edge goes', source_words: 'IRC R403.1.4' }] as unknown as RuleRow[];
const rows = everything({ job, doubts, records, jobs, rules });
const first = (asked: string) => find(rows, asked)[0];

describe('the finder', () => {
	test.each([
		['square', '/job/j1/lines?tab=square'],
		['order', '/job/j1/order'],
		['b to c', '/job/j1/edges?tab=cut&at=side.c2'],
		['stem', '/job/j1/edges?tab=walls'],
		['door ramp', '/job/j1/edges?tab=walks'],
		['b1', '/job/j1/edges?tab=sum&at=part.g'],
		['frost 14', '/job/j1/edges?tab=frost'],
		['pdf', '/job/j1/lines?tab=setout'],
		['taped wren', '/job/j1/lines?tab=square'],
		['bus', '/job/j2'],
		['edge deep', '/rules?rule=edges/bury']
	])('"%s" leads to %s', (asked, href) => expect(first(asked)?.href).toBe(href));
	test('what it finds lights up: the side, the facets of a part, the zone of a slab', () => {
		expect(first('b to c')?.rings).toEqual([[[9000, 0], [9000, 6000]]]); // prettier-ignore
		expect(first('beam below')?.rings).toHaveLength(1);
		expect(first('bottling slab')?.rings).toHaveLength(1);
	});
	test('every word must be there, a whole name comes before a part of one, and what was taken back is not found', () => {
		expect(find(rows, 'bus square')).toEqual([]);
		expect(find(rows, 'taped').filter((row) => row.kind === 'record')).toHaveLength(1);
		expect(first('walk')?.name).toBe('Walk');
		expect(find(rows, '  ')).toHaveLength(rows.length);
		expect(new Set(rows.map((row) => row.id)).size).toBe(rows.length);
	});
	test('what is not there is told with what is near', () => {
		expect(near(rows, 'b9')).toBe('B1');
		expect(near(rows, 'botling')).toBe('Bottling');
		expect(near(rows, 'zzzzzz')).toBe('');
	});
});

describe('what sticks up', () => {
	test('a wall lights its side, a group goes to its tab, and a stage of one tab asks its own question', () => {
		expect(first('orchard wall')).toMatchObject({ href: '/job/j1/embeds?tab=walls', rings: [[[0, 6000], [0, 0]]] }); // prettier-ignore
		expect(first('hoist post')?.href).toBe('/job/j1/embeds?tab=straps');
		expect(first('how much do i order')?.href).toBe('/job/j1/order');
		expect(first('pads')?.href).toBe('/job/j1/screed?tab=pads');
	});
});
