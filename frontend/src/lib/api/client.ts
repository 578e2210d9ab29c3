/** Talks to the program. Every failure is either a Problem (the server says what is wrong) or Offline. */
import createClient from 'openapi-fetch';
import type { paths, PointsFile, Problem } from './schema';

export class ApiProblem extends Error {
	constructor(readonly problem: Problem) {
		super(problem.detail);
	}
}
/** The server could not be reached; nothing was kept. */
export class Offline extends Error {}

export const client = createClient<paths>({
	baseUrl: globalThis.location?.origin ?? 'http://127.0.0.1',
	credentials: 'same-origin',
	fetch: (ask) => globalThis.fetch(ask)
});

type Answer = { data?: unknown; error?: unknown; response: Response };

/** The data of an answer, as the type that the schema gives it (openapi-fetch's own loses tuples). Throws ApiProblem or Offline. */
export async function answer<T>(call: Promise<Answer>): Promise<T> {
	let got: Answer;
	try {
		got = await call;
	} catch {
		throw new Offline();
	}
	if (got.response.ok) return got.data as T;
	throw new ApiProblem(asProblem(got.error, got.response.status));
}

function asProblem(error: unknown, status: number): Problem {
	if (typeof error === 'object' && error !== null && 'detail' in error && 'code' in error) return error as Problem;
	const detail = `The program answered ${status}.`;
	return { type: 'about:blank', code: 'unknown', title: detail, status, detail, path: '', choices: [], head: null };
}

/** Loops of a DXF or CSV file; `units` over what the file says. */
export async function readPoints(jobId: string, file: File, units: string | null): Promise<PointsFile> {
	const asked = new URLSearchParams({ name: file.name, ...(units ? { units } : {}) });
	let response: Response;
	try {
		response = await fetch(`/api/jobs/${jobId}/read-points?${asked}`, { method: 'POST', body: file, headers: { 'content-type': 'application/octet-stream' } });
	} catch {
		throw new Offline();
	}
	const body: unknown = await response.json().catch(() => null);
	if (response.ok) return body as PointsFile;
	throw new ApiProblem(asProblem(body, response.status));
}

/** A job file as text, sent as it is. */
export async function sendFile(file: File, author: string): Promise<{ id: string }> {
	let response: Response;
	try {
		response = await fetch(`/api/jobs/import?author=${encodeURIComponent(author)}`, {
			method: 'POST',
			body: file,
			headers: { 'content-type': 'application/json' }
		});
	} catch {
		throw new Offline();
	}
	const body: unknown = await response.json().catch(() => null);
	if (response.ok) return body as { id: string };
	throw new ApiProblem(asProblem(body, response.status));
}
