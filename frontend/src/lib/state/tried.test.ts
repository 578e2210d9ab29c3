import { expect, test } from 'vitest';
import { ApiProblem } from '../api/client';
import type { Edit } from './job.svelte';
import { tried } from './tried';

const refused = new ApiProblem({ detail: 'edge of the slab', path: '' } as never);

test('a refused trial leaves what is kept on the sheet, also where nothing stood there yet', async () => {
	const store = { id: 'j', onTop: [{ op: 'wrong' } as unknown as Edit] };
	const asked: number[] = [];
	const answer = tried(store, async (id, { edits }) => {
		asked.push(edits.length);
		if (edits.length) throw refused;
		return id;
	});
	expect([await answer.load(), answer.value, asked]).toEqual([true, 'j', [1, 0]]);
	store.onTop = [];
	await answer.load();
	expect(asked).toEqual([1, 0, 0]);
});

test('what is kept being refused is said', async () => {
	const answer = tried({ id: 'j', onTop: [] }, () => Promise.reject(refused));
	expect([await answer.load(), answer.problem, answer.value]).toEqual([false, 'edge of the slab', null]);
});
