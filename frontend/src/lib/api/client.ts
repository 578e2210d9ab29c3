/** Carries a request to the program. Every failure is either a Problem (the server says what is wrong) or Offline. */
import createClient from 'openapi-fetch';
import type { paths, Problem } from './schema';
import { clock } from './clock.svelte';
import { keepSeen, lastSeen, worthSeeing } from './seen';

export class ApiProblem extends Error {
	constructor(readonly problem: Problem) {
		super(problem.detail);
	}
}
/** The server could not be reached; nothing was kept. key: under which the answer was last seen. */
export class Offline extends Error {
	constructor(readonly key = '') {
		super('no answer');
	}
	seen = () => lastSeen(this.key);
}
/** this page: what it changed itself it need not be told */
export const TAB = globalThis.crypto?.randomUUID?.() ?? `tab-${Math.random().toString(36).slice(2)}`;
/** told when an answer says that this device is in no more */
export const asked = { out: () => undefined as void };

const client = createClient<paths>({
	baseUrl: globalThis.location?.origin ?? 'http://127.0.0.1',
	credentials: 'same-origin',
	headers: { 'x-tab': TAB },
	fetch: (ask) => globalThis.fetch(ask)
});

type Verb = 'get' | 'put' | 'post' | 'delete';
type JsonOf<R> = R extends { content: { 'application/json': infer T } } ? T : never;
type At<R, Status extends number> = Status extends keyof R ? JsonOf<R[Status]> : never;
/** What an operation answers, as the interface's description says. */
export type Answer<O> = O extends { responses: infer R } ? At<R, 200> | At<R, 201> : never;
type Content<O> = O extends { requestBody: { content: infer C } }
	? C extends { 'application/json': infer T }
		? T
		: Blob
	: undefined;
type Part<O, K extends string> = O extends { parameters: Record<K, infer T> }
	? T
	: O extends { parameters: Partial<Record<K, infer T>> }
		? T | undefined
		: undefined;
export interface Ask<O> {
	path?: Part<O, 'path'>;
	query?: Part<O, 'query'>;
	body?: Content<O>;
	/** give up after so long */
	most_ms?: number;
}
interface Got {
	data?: unknown;
	error?: unknown;
	response: Response;
}

type Send = (verb: string, path: string, init: object) => Promise<Got>;
/** One request, its parameters, body and answer typed by the interface's description. Throws ApiProblem or Offline. */
export async function request<P extends keyof paths, V extends Verb & keyof paths[P]>(
	verb: V,
	path: P,
	ask: Ask<paths[P][V]> = {}
): Promise<Answer<paths[P][V]>> {
	const { body } = ask;
	const file =
		body instanceof Blob ? { headers: { 'content-type': 'application/octet-stream' }, bodySerializer: (raw: Blob) => raw } : {};
	const tries = ((body as { edits?: unknown[] } | undefined)?.edits?.length ?? 0) > 0;
	const key =
		worthSeeing(verb, path) && !tries
			? JSON.stringify([verb, path, ask.path, ask.query, /\/(pour|cure)$/.test(path) ? '' : body])
			: '';
	let got: Got;
	try {
		const given = ask.most_ms ? { signal: AbortSignal.timeout(ask.most_ms) } : {};
		got = await (client.request as Send)(verb, path, { params: { path: ask.path, query: ask.query }, body, ...file, ...given });
	} catch {
		throw new Offline(key);
	}
	clock.heard(got.response.headers.get('date'));
	if (!got.response.ok) {
		const found = problemOf(got.error, got.response.status);
		if (found.code === 'not-in') asked.out();
		throw new ApiProblem(found);
	}
	if (key) keepSeen(key, got.data);
	return got.data as Answer<paths[P][V]>; // the one place where an answer takes the type that its description gives it
}

function isProblem(error: unknown): error is Problem {
	return typeof error === 'object' && error !== null && 'detail' in error && 'code' in error;
}
function problemOf(error: unknown, status: number): Problem {
	if (isProblem(error)) return error;
	const detail = `The program answered ${status}.`;
	return { type: 'about:blank', code: 'unknown', title: detail, status, detail, path: '', choices: [], head: null };
}
