/** Who a device is: the laptop itself, one that joined, one that was thrown out, one without an answer. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest';

const me = { line: 'plain', device: 'd1', name: 'Tamsin', role: 'crew', job: null, until: null, open: false };
const outside = { ...me, device: '', name: '', role: null };
let answers: (object | Error)[] = [];
const asked: string[] = [];
const stored = new Map<string, string>();

beforeEach(() => {
	answers = [];
	asked.length = 0;
	stored.clear();
	vi.resetModules();
	vi.stubGlobal('localStorage', {
		getItem: (k: string) => stored.get(k) ?? null,
		setItem: (k: string, v: string) => stored.set(k, v)
	});
	vi.stubGlobal('fetch', async (ask: Request) => {
		asked.push(`${ask.method} ${new URL(ask.url).pathname}`);
		const got = answers.shift() ?? new TypeError('gone');
		if (got instanceof Error) throw got;
		const status = 'status' in got ? (got.status as number) : 200;
		return new Response(JSON.stringify(got), { status, headers: { 'content-type': 'application/json' } });
	});
});
afterEach(() => vi.unstubAllGlobals());
const opened = async () => ({
	self: (await import('./me.svelte')).self,
	session: (await import('../state/session.svelte')).session,
	api: (await import('../api/api')).api
});

test('a phone that is in signs with its own name, and does not own', async () => {
	const { self, session } = await opened();
	expect([self.owns, self.outside]).toEqual([true, false]); // the laptop, until somebody says otherwise
	answers = [me];
	await self.load();
	expect([session.who, self.owns, self.looks, self.outside, self.out]).toEqual(['Tamsin', false, false, false, false]);
	answers = [{ ...me, role: 'looker', job: 'j' }];
	await self.load();
	expect([self.looks, self.owns]).toEqual([true, false]);
});

test('an answer that says not in is seen at once: the page stays, and says that it is out', async () => {
	const { self, api } = await opened();
	answers = [me];
	await self.load();
	answers = [{ status: 401, code: 'not-in', detail: 'out', title: '', type: '', path: '', choices: [], head: null }, outside];
	await api.yard().catch(() => undefined);
	await vi.waitFor(() => expect(self.out).toBe(true));
	expect([self.outside, asked.at(-1)]).toEqual([true, 'GET /api/site/me']);
	answers = [me];
	await self.load();
	expect([self.out, self.outside]).toEqual([false, false]);
});

test('who never was in is outside and not out; without an answer what was known stays', async () => {
	const { self } = await opened();
	answers = [outside];
	await self.load();
	expect([self.outside, self.out]).toEqual([true, false]);
	answers = [me];
	await self.load();
	answers = [new TypeError('gone')];
	await self.load();
	expect(self.me?.name).toBe('Tamsin');
});

test('leaving forgets the device, and is no throwing out', async () => {
	const { self } = await opened();
	answers = [me];
	await self.load();
	answers = [{}, outside];
	await self.leave();
	expect(asked.slice(-2)).toEqual(['POST /api/site/leave', 'GET /api/site/me']);
	expect([self.outside, self.out]).toEqual([true, false]);
});
