/** Photos: those kept and those that wait are one row, and what waits goes out picture first. */
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { RecordRow } from '../api/schema';
import { Outbox } from '../outbox/outbox.svelte';
import { openRows, type Row, type Said } from '../outbox/rows';
import { saysOf } from '../outbox/says';
import { photosOf } from './photos';
import { fitted, placeOf } from './shrink';

const values = (photo: string, note = '') => ({ photo, of: 'steel/slab/S1/lap', title: 'Hall, lap', note });
const kept = (id: string, photo: string, more: Partial<RecordRow> = {}) =>
	({
		id,
		kind: 'photo',
		who: 'Fern',
		at: 'z',
		at_device: 'a',
		superseded: false,
		unread: '',
		values: values(photo),
		...more
	}) as RecordRow;
const said = (photo: string, supersedes: string | null = null, kind = 'photo'): Said => ({
	kind: 'record',
	record: {
		kind: kind as 'photo',
		values: kind === 'photo' ? values(photo, 'seen') : {},
		who: 'Fern',
		at_device: photo,
		supersedes
	}
});
const row = (id: string, what: Said): Row => ({
	id, seq: 1, job: 'j', name: '', base: 1, author: 'Fern', made_at: 'b', said: what, state: 'waiting', words: ''
}); // prettier-ignore

describe('photos of a thing', () => {
	test('the oldest first, what waits after what is kept', () => {
		const rows = photosOf([kept('2', 'new'), kept('1', 'old')], [row('3', said('here'))]);
		expect(rows.map((one) => [one.photo, one.waits])).toEqual([['old', false], ['new', false], ['here', true]]); // prettier-ignore
	});
	test('a note that waits takes the place of the photo it is on; what is struck is away, here and there', () => {
		const noted = photosOf([kept('1', 'old')], [row('2', said('old', '1'))]);
		expect(noted.map((one) => [one.id, one.note])).toEqual([['2', 'seen']]);
		expect(photosOf([kept('1', 'old')], [row('2', said('', '1', 'struck'))])).toEqual([]);
		expect(photosOf([kept('1', 'old', { superseded: true }), kept('4', 'x', { unread: 'damaged' })], [])).toEqual([]);
	});
	test('one that is kept and still in the box is there once', () => {
		expect(photosOf([kept('1', 'old')], [row('1', said('old'))])).toHaveLength(1);
	});
});

test('no side is over the longest, nothing is made larger, no side vanishes', () => {
	expect(fitted(4000, 3000)).toEqual({ width: 2000, height: 1500 });
	expect(fitted(640, 480)).toEqual({ width: 640, height: 480 });
	expect(fitted(90_000, 3)).toEqual({ width: 2000, height: 1 });
});

test('a picture without a place, or no picture, has none', async () => {
	expect(await placeOf(new Blob(['no picture']))).toBeNull();
});

describe('a picture that waits', () => {
	let sent: string[] = [];
	let down = true;
	beforeEach(() => {
		globalThis.indexedDB = new IDBFactory();
		[sent, down] = [[], true];
		vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined, removeItem: () => undefined });
		vi.stubGlobal('fetch', async (ask: Request) => {
			if (down) throw new TypeError('no line');
			sent.push(`${ask.method} ${ask.url.split('/j/')[1]} ${(await ask.arrayBuffer()).byteLength > 3}`);
			return new Response('{}', { status: 201, headers: { 'content-type': 'application/json' } });
		});
	});
	afterEach(() => vi.unstubAllGlobals());

	test('outlives the page, goes out before its record, and leaves the device with it', async () => {
		const box = new Outbox(openRows());
		await box.start();
		await box.holdPicture('photo-0001', new Blob([new Uint8Array(9)]));
		expect((await box.say({ job: 'j', name: '', base: 1, author: 'Fern', said: said('photo-0001') })).is).toBe('held');
		expect(saysOf(box.rows[0]!)).toBe('Photo: Hall, lap, seen');
		const again = new Outbox(openRows());
		down = false;
		await again.start();
		await vi.waitFor(() => expect(again.rows).toEqual([]));
		expect(sent).toEqual(['PUT photos/photo-0001 true', 'POST records true']);
		expect(await again.picture('photo-0001')).toBeNull();
	});
});
