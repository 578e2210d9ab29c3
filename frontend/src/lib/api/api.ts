/** Every request that a screen makes, a function each; their types come from the interface's description. */
import { request, type Ask } from './client';
import type { paths } from './schema';

type Posted<P extends keyof paths> = paths[P] extends { post: infer O } ? NonNullable<Ask<O>['body']> : never;
type Query<P extends keyof paths, V extends keyof paths[P]> = NonNullable<Ask<paths[P][V]>['query']>;
const of = (job_id: string) => ({ path: { job_id } });
const JOB = '/api/jobs/{job_id}';
/** what waits behind an answer that never comes goes on after so long; the same id counts once */
const KEEP_MS = 60_000;

export const api = {
	yard: () => request('get', '/api/jobs'),
	start: (body: Posted<'/api/jobs'>) => request('post', '/api/jobs', { body }),
	/** A job file as text, sent as it is. */
	bringIn: (body: Blob, author: string, reading = '') =>
		request('post', '/api/jobs/import', { body, query: { author, reading } }),
	reading: (key: string) => request('get', '/api/readings/{key}', { path: { key } }),
	dropReading: (key: string) => request('delete', '/api/readings/{key}', { path: { key } }),
	copy: (id: string, author: string) => request('post', `${JOB}/copy`, { ...of(id), body: { author } }),
	archive: (id: string) => request('post', `${JOB}/archive`, of(id)),
	restore: (id: string) => request('post', `${JOB}/restore`, of(id)),
	remove: (id: string) => request('delete', JOB, of(id)),
	undelete: (id: string) => request('post', `${JOB}/undelete`, of(id)),

	job: (id: string) => request('get', JOB, of(id)),
	doubts: (id: string) => request('get', `${JOB}/doubts`, of(id)),
	keep: (id: string, body: Posted<'/api/jobs/{job_id}/edits'>) =>
		request('post', `${JOB}/edits`, { ...of(id), body, most_ms: KEEP_MS }),
	draft: (id: string, body: Posted<'/api/jobs/{job_id}/figure'>) => request('post', `${JOB}/figure`, { ...of(id), body }),
	undo: (id: string, body: Posted<'/api/jobs/{job_id}/undo'>) => request('post', `${JOB}/undo`, { ...of(id), body }),
	redo: (id: string, body: Posted<'/api/jobs/{job_id}/redo'>) => request('post', `${JOB}/redo`, { ...of(id), body }),
	goBack: (id: string, body: Posted<'/api/jobs/{job_id}/go-back'>) => request('post', `${JOB}/go-back`, { ...of(id), body }),
	/** A page of the history, newest first: before a revision, or from the newest. */
	revisions: (id: string, before?: number) => request('get', `${JOB}/revisions`, { ...of(id), query: before ? { before } : {} }),

	records: (id: string, kind?: string) => request('get', `${JOB}/records`, { ...of(id), query: { kind } }),
	record: (id: string, body: Posted<'/api/jobs/{job_id}/records'>) =>
		request('post', `${JOB}/records`, { ...of(id), body, most_ms: KEEP_MS }),

	/** A picture goes before the record that says what it shows. */
	keepPhoto: (job_id: string, photo_id: string, body: Blob) =>
		request('put', '/api/jobs/{job_id}/photos/{photo_id}', { path: { job_id, photo_id }, body, most_ms: KEEP_MS }),
	photoAddress: (job: string, photo: string, small = false) => `/api/jobs/${job}/photos/${photo}${small ? '?small=true' : ''}`,

	walk: (id: string, text: string) => request('post', `${JOB}/walk`, { ...of(id), body: { text } }),
	/** Loops of a DXF or CSV file; `units` over what the file says. */
	readPoints: (id: string, body: Blob, query: Query<'/api/jobs/{job_id}/read-points', 'post'>) =>
		request('post', `${JOB}/read-points`, { ...of(id), query, body }),
	setOut: (id: string) => request('get', `${JOB}/set-out`, of(id)),
	forms: (id: string) => request('get', `${JOB}/forms`, of(id)),
	cutPlan: (id: string) => request('get', `${JOB}/cut-plan`, of(id)),
	dropCutPlan: (id: string) => request('delete', `${JOB}/cut-plan`, of(id)),
	square: (id: string, body: Posted<'/api/jobs/{job_id}/square'>) => request('post', `${JOB}/square`, { ...of(id), body }),
	straight: (job_id: string, kind: 'string-gaps' | 'form-levels', body: Posted<'/api/jobs/{job_id}/straight/{kind}'>) =>
		request('post', `${JOB}/straight/{kind}`, { path: { job_id, kind }, body }),

	ground: (id: string, layer: string) => request('get', `${JOB}/ground`, { ...of(id), query: { layer } }),
	rodCheck: (id: string, body: Posted<'/api/jobs/{job_id}/rod-check'>) =>
		request('post', `${JOB}/rod-check`, { ...of(id), body }),
	shotsFile: (id: string, body: Blob, query: Query<'/api/jobs/{job_id}/shots-file', 'post'>) =>
		request('post', `${JOB}/shots-file`, { ...of(id), query, body }),

	embeds: (id: string, body: Posted<'/api/jobs/{job_id}/embeds'>) => request('post', `${JOB}/embeds`, { ...of(id), body }),
	joints: (id: string, body: Posted<'/api/jobs/{job_id}/joints'>) => request('post', `${JOB}/joints`, { ...of(id), body }),
	screed: (id: string, body: Posted<'/api/jobs/{job_id}/screed'>) => request('post', `${JOB}/screed`, { ...of(id), body }),
	order: (id: string, body: Posted<'/api/jobs/{job_id}/order'>) => request('post', `${JOB}/order`, { ...of(id), body }),
	day: (id: string, body: Posted<'/api/jobs/{job_id}/day'>) => request('post', `${JOB}/day`, { ...of(id), body }),
	pour: (id: string, at: string | null) => request('post', `${JOB}/pour`, { ...of(id), body: { at } }),
	cure: (id: string, body: Posted<'/api/jobs/{job_id}/cure'>) => request('post', `${JOB}/cure`, { ...of(id), body }),
	built: (id: string) => request('get', `${JOB}/built`, of(id)),
	secondJob: (id: string, body: Posted<'/api/jobs/{job_id}/second-job'>) =>
		request('post', `${JOB}/second-job`, { ...of(id), body }),
	lessons: (id: string) => request('get', `${JOB}/lessons`, of(id)),
	takeLesson: (id: string, body: Posted<'/api/jobs/{job_id}/lessons/take'>) =>
		request('post', `${JOB}/lessons/take`, { ...of(id), body }),
	undoLesson: (id: string, body: Posted<'/api/jobs/{job_id}/lessons/undo'>) =>
		request('post', `${JOB}/lessons/undo`, { ...of(id), body }),
	rack: (id: string) => request('get', `${JOB}/rack`, of(id)),
	putOnRack: (id: string, body: Posted<'/api/jobs/{job_id}/rack'>) => request('post', `${JOB}/rack`, { ...of(id), body }),
	handOver: (id: string, today: string) => request('get', `${JOB}/hand-over`, { ...of(id), query: { today } }),
	readProbe: (id: string, body: Posted<'/api/jobs/{job_id}/cure/read-probe'>) =>
		request('post', `${JOB}/cure/read-probe`, { ...of(id), body }),
	pourAhead: (id: string) => request('get', `${JOB}/pour/ahead`, of(id)),
	callPlant: (id: string, body: Posted<'/api/jobs/{job_id}/pour/call'>) =>
		request('post', `${JOB}/pour/call`, { ...of(id), body }),
	askPlant: (id: string, body: Posted<'/api/jobs/{job_id}/pour/ask-plant'>) =>
		request('post', `${JOB}/pour/ask-plant`, { ...of(id), body }),
	recordedDay: (id: string, key: string) => request('get', `${JOB}/pour/days/{key}`, { path: { job_id: id, key } }),
	gate: (id: string, body: Posted<'/api/jobs/{job_id}/gate'>) => request('post', `${JOB}/gate`, { ...of(id), body }),
	packShare: (reading: string) => request('get', '/api/packs/{reading}', { path: { reading } }),
	week: (from_day: string) => request('get', '/api/week', { query: { from_day } }),
	forecast: (id: string, body: Posted<'/api/jobs/{job_id}/forecast'>) => request('post', `${JOB}/forecast`, { ...of(id), body }),
	tenNumbers: (id: string, body: Posted<'/api/jobs/{job_id}/ten-numbers'>) =>
		request('post', `${JOB}/ten-numbers`, { ...of(id), body }),
	/** Hours out of a file; answers to what it asked, by key. */
	weatherFile: (id: string, body: Blob, query: Query<'/api/jobs/{job_id}/weather-file', 'post'>) =>
		request('post', `${JOB}/weather-file`, { ...of(id), query, body }),
	stripProposal: (id: string) => request('get', `${JOB}/screed/proposal`, of(id)),
	jointProposals: (id: string) => request('get', `${JOB}/joints/proposals`, of(id)),
	edges: (id: string) => request('get', `${JOB}/edges`, of(id)),
	underslab: (id: string, body: Posted<'/api/jobs/{job_id}/underslab'>) =>
		request('post', `${JOB}/underslab`, { ...of(id), body }),
	steel: (id: string, body: Posted<'/api/jobs/{job_id}/steel'>) => request('post', `${JOB}/steel`, { ...of(id), body }),
	steelCuts: (id: string) => request('get', `${JOB}/steel/cuts`, of(id)),
	dropSteelCuts: (id: string) => request('delete', `${JOB}/steel/cuts`, of(id)),
	section: (id: string, body: Posted<'/api/jobs/{job_id}/section'>) => request('post', `${JOB}/section`, { ...of(id), body }),
	partAlone: (job_id: string, number: number) => request('get', `${JOB}/parts/{number}/alone`, { path: { job_id, number } }),

	ways: () => request('get', '/api/ways'),
	keepWays: (body: NonNullable<Ask<paths['/api/ways']['put']>['body']>) => request('put', '/api/ways', { body }),
	rules: (units: 'ft-in' | 'mm') => request('get', '/api/rules', { query: { units } }),
	tryRule: (family: string, rule: string, body: Posted<'/api/rules/{family}/{rule}/try'>) =>
		request('post', '/api/rules/{family}/{rule}/try', { path: { family, rule }, body }),
	keepLimit: (key: string, body: NonNullable<Ask<paths['/api/rules/limits/{key}']['put']>['body']>) =>
		request('put', '/api/rules/limits/{key}', { path: { key }, body }),

	practice: (day: string) => request('get', '/api/practice', { query: { day } }),
	exercise: (kind: string, level: number, seed: number, units: 'ft-in' | 'mm') =>
		request('get', '/api/practice/{kind}/{level}/{seed}', { path: { kind, level, seed }, query: { units } }),
	keepTry: (body: Posted<'/api/practice/tries'>) => request('post', '/api/practice/tries', { body }),
	forgetTries: (who: string) => request('post', '/api/practice/forget', { body: { who } }),
	givePractice: (body: Posted<'/api/practice/given'>) => request('post', '/api/practice/given', { body }),
	takeBackPractice: (id: string) => request('post', '/api/practice/given/{id}/take-back', { path: { id } }),

	me: () => request('get', '/api/site/me', { most_ms: 6000 }),
	join: (name: string, number: string) => request('post', '/api/site/join', { body: { name, number } }),
	look: (token: string) => request('post', '/api/site/look', { body: { token } }),
	leave: () => request('post', '/api/site/leave'),
	here: (body: Posted<'/api/site/here'>) => request('post', '/api/site/here', { body }),
	who: () => request('get', '/api/site/who'),
	site: () => request('get', '/api/site/state'),
	siteAct: (act: 'open' | 'close' | 'number' | 'shut') => request('post', `/api/site/${act}`),
	setRole: (device_id: string, role: Posted<'/api/site/devices/{device_id}/role'>['role']) =>
		request('post', '/api/site/devices/{device_id}/role', { path: { device_id }, body: { role } }),
	throwOut: (device_id: string) => request('post', '/api/site/devices/{device_id}/throw-out', { path: { device_id } }),
	makeLink: (body: Posted<'/api/site/links'>) => request('post', '/api/site/links', { body }),
	copies: () => request('get', '/api/site/copies'),
	copyNow: () => request('post', '/api/site/copies'),
	setSecond: (folder: string) => request('put', '/api/site/second', { body: { folder } }),
	putBack: (name: string, second: boolean) => request('post', '/api/site/copies/put-back', { body: { name, second } }),
	bringAll: (body: Blob) => request('post', '/api/site/everything', { body }),
	/** Whether the locked line of this laptop is trusted here: its sign of life comes. */
	hello: (locked: string) =>
		globalThis.fetch(`${locked}/api/site/hello`, { signal: AbortSignal.timeout(4000) }).then(
			(got) => got.ok,
			() => false
		)
};
