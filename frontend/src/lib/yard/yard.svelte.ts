/** The yard: all slabs, and what may be done with each. */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import { troubleOf } from '../state/resource.svelte';
import type { Problem, YardJob } from '../api/schema';
import { outbox } from '../outbox/outbox.svelte';
import { FileReading } from '../state/reading.svelte';
import { session } from '../state/session.svelte';

const withField = (problem: Problem) => (problem.path ? `${problem.path}: ${problem.detail}` : problem.detail);

export class YardState {
	jobs = $state.raw<YardJob[] | null>(null);
	words = $state('');
	readonly reading = new FileReading();
	deleted = $state.raw<YardJob | null>(null);

	/** lines that are still to be worked out are asked for again */
	#again: ReturnType<typeof setTimeout> | undefined;
	async load() {
		const said = this.words;
		const got = await this.#try(() => this.#yard(), said);
		if (got) this.jobs = got;
		clearTimeout(this.#again);
		if (got?.some((job) => job.counting)) this.#again = setTimeout(() => void this.load(), 200);
	}
	/** The yard; as it was last seen where nobody answers, and nothing is shown yet. */
	async #yard(): Promise<YardJob[]> {
		try {
			return await api.yard();
		} catch (error) {
			const old = error instanceof Offline && this.jobs === null ? await error.seen() : null;
			if (old) this.jobs = old.body as YardJob[];
			throw error;
		}
	}
	async start(name: string, units: 'ft-in' | 'mm'): Promise<string | null> {
		return this.#try(async () => (await api.start({ name, units, author: session.who })).id);
	}
	async bringIn(file: File): Promise<string | null> {
		return this.#try(async () => (await this.reading.read((key) => api.bringIn(file, session.who, key))).id);
	}
	async copy(job: YardJob) {
		await this.#act(() => api.copy(job.id, session.who));
	}
	async aside(job: YardJob) {
		await this.#act(() => (job.archived ? api.restore(job.id) : api.archive(job.id)));
	}
	async delete(job: YardJob) {
		await this.#act(() => api.remove(job.id));
		this.deleted = job;
	}
	async undelete() {
		const job = this.deleted;
		if (!job) return;
		await this.#act(() => api.undelete(job.id));
		this.deleted = null;
	}
	async rename(job: YardJob, name: string): Promise<boolean> {
		const said = { kind: 'edit' as const, edits: [{ op: 'set_fields' as const, values: { name } }] };
		const got = await outbox.say({ job: job.id, name: job.name, base: job.revision, author: session.who, said });
		await this.load();
		if (got.is === 'refused') this.words = withField(got.problem);
		return got.is !== 'refused';
	}
	async #act(act: () => Promise<unknown>) {
		await this.#try(act);
		await this.load();
	}
	/** `said` stays while the act runs: a list that comes in late does not wipe out what an act was refused for. */
	async #try<T>(act: () => Promise<T>, said = ''): Promise<T | null> {
		this.words = said;
		try {
			return await act();
		} catch (error) {
			if (error instanceof ApiProblem) this.words = withField(error.problem);
			else this.words = troubleOf(error).words;
			return null;
		}
	}
}
