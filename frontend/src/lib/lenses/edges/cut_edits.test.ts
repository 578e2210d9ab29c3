import { expect, test } from 'vitest';
import type { CutSize } from '../../api/schema';
import { editOf, nextMark } from './cut_edits';

const size = (kind: string, key: string, typed = true): CutSize => ({ kind, key, mark: 'X1', row: 2, value: 1, text: '', s0_mm: 0, z0_mm: 0, s1_mm: 0, z1_mm: 0, typed });

test('each size on a cut changes its own thing', () => {
	expect(editOf(size('edge', 'depth'), ' 20 ')).toEqual({ op: 'set_edge_type', mark: 'X1', depth: '20', text: '' });
	expect(editOf(size('edge', 'degrees'), '60°')).toEqual({ op: 'set_edge_type', mark: 'X1', degrees: 60, text: '' });
	expect(editOf(size('beam', 'width'), '14')).toEqual({ op: 'set_beam_type', mark: 'X1', width: '14', text: '' });
	expect(editOf(size('pad', 'diameter'), '24')).toEqual({ op: 'set_pad_type', mark: 'X1', diameter: '24', text: '' });
	expect(editOf(size('recess', 'depth'), '2')).toEqual({ op: 'set_recess', index: 2, changes: { depth_mm: '2' } });
	expect(editOf(size('step', 'drop'), '2')).toEqual({ op: 'set_zone', index: 2, changes: { drop_mm: '2' } });
	expect(editOf(size('slab', 'thickness'), '5')).toEqual({ op: 'set_slab_type', mark: 'X1', thickness: '5' });
});

test('a size that is only read off, or nothing typed, changes nothing', () => {
	expect(editOf(size('edge', 'depth', false), '20')).toBeNull();
	expect(editOf(size('edge', 'depth'), '  ')).toBeNull();
});

test('marks are the first free number', () => {
	expect(nextMark('B', ['B1', 'B3'])).toBe('B2');
});
