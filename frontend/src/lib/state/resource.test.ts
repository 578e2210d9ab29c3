import { describe, expect, test } from 'vitest';
import { ApiProblem, Offline } from '../api/client';
import { Resource, troubleOf } from './resource.svelte';

const problem = new ApiProblem({ title: 'No', status: 422, detail: 'No such layer.', path: 'layer', code: 'input' } as never);
function later<T>() {
	const waiting: { answer: (value: T) => void; fail: (error: unknown) => void }[] = [];
	const ask = () => new Promise<T>((answer, fail) => waiting.push({ answer, fail }));
	return { waiting, ask };
}

describe('what was asked for', () => {
	test('the latest ask wins, whichever answer comes first', async () => {
		const { waiting, ask } = later<string>();
		const found = new Resource(ask);
		const [first, second] = [found.load(), found.load()];
		waiting[0]?.answer('old');
		const done = first.then((shown) => [shown, found.value]);
		await Promise.resolve();
		expect(found.value).toBe(null);
		waiting[1]?.answer('new');
		expect(await second).toBe(true);
		expect(await done).toEqual([true, 'new']); // whoever asked before waits for it too
		expect([found.value, found.loading, found.stale]).toEqual(['new', false, false]);
	});
	test('a problem keeps what is shown, marked as of before; the next answer clears it', async () => {
		let say: unknown = 'layers';
		const found = new Resource(async () => {
			if (say instanceof Error) throw say;
			return say;
		});
		await found.load();
		say = problem;
		await found.load();
		expect([found.value, found.problem, found.stale, found.offline]).toEqual(['layers', 'No such layer.', true, false]);
		say = new Offline();
		await found.load();
		expect([found.value, found.problem, found.stale, found.offline]).toEqual(['layers', '', true, true]);
		say = 'again';
		await found.load();
		expect([found.value, found.stale]).toEqual(['again', false]);
	});
	test('what is forgotten does not come back, and an error of ours is not hidden', async () => {
		const { waiting, ask } = later<string>();
		const found = new Resource(ask);
		const on = found.load();
		found.clear();
		waiting[0]?.answer('late');
		expect(await on).toBe(false);
		expect([found.value, found.loading]).toEqual([null, false]);
		expect(() => troubleOf(new TypeError('ours'))).toThrow(TypeError);
		expect(troubleOf(problem)).toEqual({ words: 'No such layer.', path: 'layer', offline: false });
	});
});

test('where nobody answers, what was last seen is shown with its hour until somebody does', async () => {
	let up = false;
	const found = new Resource(async () => {
		if (up) return 'now';
		const none = new Offline('key');
		none.seen = async () => ({ key: 'key', at: 1700, body: 'as seen' });
		throw none;
	});
	await found.load();
	expect([found.value, found.seen, found.offline, found.stale]).toEqual(['as seen', 1700, true, true]);
	up = true;
	await found.load();
	expect([found.value, found.seen, found.stale]).toEqual(['now', 0, false]);
});
