import { expect, it } from 'vitest';
import { pressed } from './call_keys';

it('writes a call by number pad and keys, and takes back what it wrote', () => {
	let [text, caret] = ['', 0];
	for (const key of ['3', '6', "'", 'e', '1', '8', "'", 'n'] as const) {
		const got = /\d/.test(key) ? { text: text + key, caret: caret + 1 } : pressed(text, caret, caret, key as 'n');
		[text, caret] = [got.text, got.caret];
	}
	expect(text).toBe("36' e 18' n ");
	expect(pressed(text, 4, 5, 'w')).toEqual({ text: "36' w 18' n ", caret: 6 });
	expect(pressed("36'", 3, 3, 'back')).toEqual({ text: '36', caret: 2 });
	expect(pressed('36 x', 0, 2, 'back').text).toBe(' x');
});
