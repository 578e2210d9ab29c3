import { describe, expect, it } from 'vitest';
import type { RuleRow } from '../api/schema';
import { found, toOpen } from './rules.svelte';

const rule = (name: string, source: string, words: string): RuleRow => ({ name, title: words, what: '', formula: 'a − b', source, source_words: 'IRC R403', standing: 'standard', edition: '2021', table: [['index', '2500']], asks: [], limits: [] });
const book = [rule('edges/bury', 'bury', 'How deep an edge is buried'), rule('edges/frost', 'frost', 'Edge against frost')];

describe('the rule book', () => {
	it('finds rules that have every word, in whatever part', () => {
		expect(found(book, 'edge FROST').map((one) => one.name)).toEqual(['edges/frost']);
		expect(found(book, 'r403 2500')).toHaveLength(2);
		expect(found(book, '')).toHaveLength(2);
		expect(found(book, 'roof')).toEqual([]);
	});
	it('opens the rule that is named, or the first from a source', () => {
		expect(toOpen(book, 'edges/frost', null)).toBe('edges/frost');
		expect(toOpen(book, null, 'frost')).toBe('edges/frost');
		expect(toOpen(book, 'gone', 'gone')).toBe('edges/bury');
		expect(toOpen([], null, null)).toBe('');
	});
});
