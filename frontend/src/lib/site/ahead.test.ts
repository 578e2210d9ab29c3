/** What a phone asks for ahead: each answer once for a state of a slab, again where it was cut off. */
import { afterEach, expect, test, vi } from 'vitest';
import { askAhead } from './ahead';

afterEach(() => vi.unstubAllGlobals());

test('once for each state; a stage that cannot answer holds up no other; what was cut off is asked again', async () => {
	const asked: string[] = [];
	let after = 99;
	vi.stubGlobal('fetch', async (ask: Request) => {
		if (asked.length >= after) throw new TypeError('gone');
		asked.push(new URL(ask.url).pathname.split('/').at(-1) ?? '');
		const status = ask.url.endsWith('/steel') ? 422 : 200;
		return new Response(JSON.stringify({ code: 'cannot-use', detail: 'no' }), {
			status,
			headers: { 'content-type': 'application/json' }
		});
	});
	await askAhead('j', '1');
	expect(asked).toEqual([
		'jobs',
		'ground',
		'gate',
		'pour',
		'ahead',
		'cure',
		'built',
		'embeds',
		'underslab',
		'screed',
		'steel',
		'set-out',
		'records'
	]);
	await askAhead('j', '1');
	expect(asked).toHaveLength(13);
	after = 14;
	await askAhead('j', '2');
	expect(asked).toHaveLength(14);
	after = 99;
	await askAhead('j', '2');
	expect(asked).toHaveLength(27);
});
