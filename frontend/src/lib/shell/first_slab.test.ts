/** The ten lines follow what is done, and what was passed over stays passed. */
import { expect, test } from 'vitest';
import { LINES, lineAt, type Stands } from './first_slab';

const stage = (id: string, state: 'tight' | 'loop', words: string) => ({ id, state, words });
const stands = (more: Partial<Stands> = {}): Stands => ({ outline: false, stack: false, day: false, stages: [], ...more });

test('the first line not done is shown, whichever way one got there', () => {
	expect(LINES).toHaveLength(10);
	expect(lineAt(stands(), [])).toBe(0);
	const closed = [stage('lines', 'tight', 'closes')] as Stands['stages'];
	expect(LINES[lineAt(stands({ outline: true, stages: closed }), [])]?.key).toBe('square');
	const squared = [stage('lines', 'tight', 'square'), stage('edges', 'tight', '4 of 4 sides'), stage('ground', 'loop', 'to do')];
	expect(LINES[lineAt(stands({ outline: true, stages: squared as Stands['stages'] }), [])]?.key).toBe('stack');
	const begun = [...squared.slice(0, 2), stage('ground', 'loop', 'started')] as Stands['stages'];
	expect(LINES[lineAt(stands({ outline: true, stack: true, stages: begun }), [])]?.key).toBe('steel');
});

test('a line that only looks is passed over, and at the end there is none', () => {
	const all = ['lines', 'edges', 'ground', 'steel', 'screed'].map((id) => stage(id, 'tight', 'square')) as Stands['stages'];
	const now = stands({ outline: true, stack: true, day: true, stages: all });
	expect(LINES[lineAt(now, [])]?.key).toBe('sure');
	expect(LINES[lineAt(now, ['sure'])]?.key).toBe('walk');
	expect(lineAt(now, ['sure', 'walk'])).toBe(10);
});
