import { expect, test } from 'vitest';
import type { Row, Said } from './rows';
import { copyOf, saysOf } from './says';

const row = (said: Said): Row => ({
	id: 'r',
	seq: 1,
	job: 'j',
	name: 'Pad',
	base: 1,
	author: 'Fern',
	made_at: '2027',
	said,
	state: 'waiting',
	words: 'The disk is full.'
});

test('what waits is said by its act and what was typed, without names that nobody reads', () => {
	expect(saysOf(row({ kind: 'edit', edits: [{ op: 'set_side', side: 'c7f', length: "16' 2", moves: 'end' }] }))).toBe(
		"Set side: 16' 2"
	);
	expect(
		saysOf(
			row({
				kind: 'record',
				record: {
					kind: 'ground-test',
					values: { test: 'roll', at: [5881.2, 3], passed: true, note: 'by the door' },
					who: '',
					at_device: '',
					supersedes: null
				}
			})
		)
	).toBe('Test of the ground: roll, by the door');
	const long = saysOf(row({ kind: 'edit', edits: [{ op: 'keep_outline', text: "10' e, ".repeat(40) }] }));
	expect([long.length < 90, long.endsWith('…')]).toEqual([true, true]);
	expect(copyOf(row({ kind: 'edit', edits: [{ op: 'keep_outline', text: "10' e" }] }))).toContain('"text": "10\' e"');
});
