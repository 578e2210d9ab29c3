import { beforeEach, describe, expect, it, vi } from 'vitest';
import { empty, note, restored } from './remember.svelte';

const kept = new Map<string, string>();
beforeEach(() => {
	kept.clear();
	vi.stubGlobal('sessionStorage', {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, text: string) => kept.set(key, text),
		removeItem: (key: string) => kept.delete(key)
	});
});

describe('what is typed and not kept yet', () => {
	it('comes back as it was, and is forgotten once it is emptied', () => {
		note('a/mark', { name: 'nail', level: '' });
		expect(restored('a/mark')).toEqual({ name: 'nail', level: '' });
		note('a/mark', { name: ' ', level: '' });
		expect(restored('a/mark')).toBeNull();
	});
	it('is nothing where only empty texts stand', () => {
		expect([['', [' ']], { a: '', b: null }, false, undefined].every(empty)).toBe(true);
		expect([0, ['', 'x'], { a: true }].some(empty)).toBe(false);
	});
	it('does without where the browser refuses', () => {
		vi.stubGlobal('sessionStorage', undefined);
		note('a', 'x');
		expect(restored('a')).toBeNull();
		kept.set('typed:b', '{');
		expect(restored('b')).toBeNull();
	});
});
