/** Answers looked up, and texts that mean a step of a tape. */
import { expect, test } from 'vitest';
import type { Exercise } from '../api/schema';
import { begun, mark, typedOption, unsaid } from './mark';

const option = (key: string, text = key) => ({ key, text });
const exercise = {
	asks: [
		{ id: 'way', label: 'Which way?', kind: 'one', options: [option('west'), option('east')], start: '', group: '' },
		{ id: 'far', label: 'How far?', kind: 'steps', options: [option('0', '0″'), option('6', '3/8″')], start: '0', group: '' },
		{ id: 'a', label: '1', kind: 'press', options: [option('no'), option('yes')], start: '', group: '' }
	],
	parts: [
		{
			asks: ['way', 'far'],
			table: {
				'west|0': { lost: 6, words: 'Still out.', shapes: [], off_n: -6 },
				'west|6': { lost: 0, words: '', shapes: [], off_n: 0 },
				'east|6': { lost: 12, words: 'The other way.', shapes: [], off_n: -12 },
				'east|0': { lost: 6, words: '', shapes: [], off_n: -6 }
			}
		},
		{ asks: ['a'], table: { no: { lost: 1, words: 'Missed.' }, yes: { lost: 0 } } }
	],
	said: ['Square', 'a little out'],
	many: '{n} out',
	near: 2
} as unknown as Exercise;

test('an answer is the sum of its parts, and nothing is guessed for what nobody said', () => {
	const first = begun(exercise);
	expect(first).toEqual({ far: '0', a: 'no' });
	expect(unsaid(exercise, first)).toBe('Which way?');
	expect(mark(exercise, { way: 'west', far: '6', a: 'yes' })).toMatchObject({
		lost: 0,
		grade: 'right',
		verdict: 'Square',
		off: 0
	});
	expect(mark(exercise, { way: 'west', far: '6', a: 'no' })).toMatchObject({ lost: 1, grade: 'near', verdict: 'a little out' });
	const wrong = mark(exercise, { way: 'east', far: '6', a: 'no' });
	expect(wrong).toMatchObject({ lost: 13, grade: 'off', verdict: '13 out', words: ['The other way.', 'Missed.'], off: -12 });
});

test('what is typed means a step of the tape, however it is written', () => {
	const far = [
		option('a', '1 3/8″'),
		option('b', '40′-3 1/2″'),
		option('c', '12 mm'),
		option('d', '4 1/2 yd'),
		option('e', '3.5 m³')
	];
	const said = ['1 3/8', '1.375', '1-3/8"', "40' 3 1/2", '12', '12mm', '4.5', '4 1/2 yd', '3.5', '9', 'much', ''];
	expect(said.map((text) => typedOption(far, text))).toEqual(['a', 'a', 'a', 'b', 'c', 'c', 'd', 'd', 'e', null, null, null]);
});
