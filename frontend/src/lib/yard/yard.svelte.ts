/** The yard: all slabs, and what may be done with each. */
import { answer, ApiProblem, client, Offline, sendFile } from '../api/client';
import type { JobState, YardJob } from '../api/schema';
import { session } from '../state/session.svelte';
import { w } from '../words/words';

export class YardState {
	jobs = $state.raw<YardJob[] | null>(null);
	words = $state('');
	deleted = $state.raw<YardJob | null>(null);

	async load() {
		const said = this.words;
		const got = await this.#try(() => answer<YardJob[]>(client.GET('/api/jobs')), said);
		if (got) this.jobs = got;
	}
	async start(name: string, units: 'ft-in' | 'mm'): Promise<string | null> {
		return this.#try(async () => (await answer<JobState>(client.POST('/api/jobs', { body: { name, units, author: session.who } }))).id);
	}
	async bringIn(file: File): Promise<string | null> {
		return this.#try(async () => (await sendFile(file, session.who)).id);
	}
	async copy(job: YardJob) {
		await this.#act(job, client.POST('/api/jobs/{job_id}/copy', { params: { path: { job_id: job.id } }, body: { author: session.who } }));
	}
	async aside(job: YardJob) {
		const params = { path: { job_id: job.id } };
		await this.#act(job, job.archived ? client.POST('/api/jobs/{job_id}/restore', { params }) : client.POST('/api/jobs/{job_id}/archive', { params }));
	}
	async delete(job: YardJob) {
		await this.#act(job, client.DELETE('/api/jobs/{job_id}', { params: { path: { job_id: job.id } } }));
		this.deleted = job;
	}
	async undelete() {
		const job = this.deleted;
		if (!job) return;
		await this.#act(job, client.POST('/api/jobs/{job_id}/undelete', { params: { path: { job_id: job.id } } }));
		this.deleted = null;
	}
	async rename(job: YardJob, name: string): Promise<boolean> {
		const body = { revision: job.revision, edits: [{ op: 'set_fields' as const, values: { name } }], edit_id: crypto.randomUUID(), author: session.who };
		const done = await this.#try(async () => {
			await answer(client.POST('/api/jobs/{job_id}/edits', { params: { path: { job_id: job.id } }, body }));
			return 'kept';
		});
		await this.load();
		return done !== null;
	}
	async #act(_job: YardJob, call: Promise<{ data?: unknown; error?: unknown; response: Response }>) {
		await this.#try(async () => {
			await answer(call);
			return '';
		});
		await this.load();
	}
	/** `said` stays while the act runs: a list that comes in late does not wipe out what an act was refused for. */
	async #try<T>(act: () => Promise<T>, said = ''): Promise<T | null> {
		this.words = said;
		try {
			return await act();
		} catch (error) {
			if (error instanceof ApiProblem) this.words = error.problem.path ? `${error.problem.path}: ${error.problem.detail}` : error.problem.detail;
			else if (error instanceof Offline) this.words = w.notices.offline(0).split('.')[0] + '.';
			else throw error;
			return null;
		}
	}
}
