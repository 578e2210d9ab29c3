import { expect, test } from 'vitest';
import type { SectionSize, JobState } from '../../api/schema';
import { editOf, nextMark } from './section_edits';

const rows = (letter: string) => [1, 2, 3].map((n) => ({ id: `${letter}${n}` }));
const plan = { zones: rows('z'), recesses: rows('r') } as unknown as JobState['document'];
const size = (kind: string, key: string, typed = true): SectionSize => ({
	kind,
	key,
	mark: 'X1',
	row: 2,
	value: 1,
	text: '',
	s0_mm: 0,
	z0_mm: 0,
	s1_mm: 0,
	z1_mm: 0,
	typed
});

test('each size on a section changes its own thing', () => {
	expect(editOf(size('edge', 'depth'), ' 20 ', plan)).toEqual({ op: 'set_edge_type', mark: 'X1', depth: '20', text: '' });
	expect(editOf(size('edge', 'degrees'), '60°', plan)).toEqual({ op: 'set_edge_type', mark: 'X1', degrees: 60, text: '' });
	expect(editOf(size('beam', 'width'), '14', plan)).toEqual({ op: 'set_beam_type', mark: 'X1', width: '14', text: '' });
	expect(editOf(size('pad', 'diameter'), '24', plan)).toEqual({ op: 'set_pad_type', mark: 'X1', diameter: '24', text: '' });
	expect(editOf(size('recess', 'depth'), '2', plan)).toEqual({ op: 'set_recess', recess: 'r3', changes: { depth_mm: '2' } });
	expect(editOf(size('step', 'drop'), '2', plan)).toEqual({ op: 'set_zone', zone: 'z3', changes: { drop_mm: '2' } });
	expect(editOf(size('slab', 'thickness'), '5', plan)).toEqual({ op: 'set_slab_type', mark: 'X1', thickness: '5' });
});

test('a size that is only read off, or nothing typed, changes nothing', () => {
	expect(editOf(size('edge', 'depth', false), '20', plan)).toBeNull();
	expect(editOf(size('edge', 'depth'), '  ', plan)).toBeNull();
});

test('marks are the first free number', () => {
	expect(nextMark('B', ['B1', 'B3'])).toBe('B2');
});
