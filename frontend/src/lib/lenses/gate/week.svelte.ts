/** The week of all jobs: asked for by its first day; who is put where is kept in the job that it is of. */
import { api } from '../../api/api';
import type { WeekState, PersonTold } from '../../api/schema';
import { outbox } from '../../outbox/outbox.svelte';
import { session } from '../../state/session.svelte';
import type { Edit, JobStore } from '../../state/job.svelte';
import { Resource } from '../../state/resource.svelte';
import { dateOf, plus, today } from '../../ui/days';

export const mondayOf = (iso: string): string => plus(iso, -((dateOf(iso).getDay() + 6) % 7));

export class WeekData {
	readonly #state: Resource<WeekState, [string]>;
	from = $state(mondayOf(today()));
	/** the person that is followed */
	picked = $state('');
	wrong = $state('');
	#begun = false;

	constructor(readonly store: JobStore) {
		this.#state = new Resource((from) => api.week(from));
	}
	/** The week of this job's pour first, where one is booked ahead. */
	load() {
		const pour = this.store.kept?.document.order.pour_at?.slice(0, 10);
		if (!this.#begun && pour && pour >= today()) this.from = mondayOf(pour);
		this.#begun = true;
		return this.#state.load(this.from);
	}
	turn(by: number) {
		this.from = plus(this.from, by * 7);
		return this.load();
	}
	get week() {
		return this.#state.value?.week ?? null;
	}
	get crew(): string[] {
		return this.#state.value?.crew ?? [];
	}
	get problem() {
		return this.#state.problem;
	}
	get person(): PersonTold | null {
		return this.week?.people.find((one) => one.name === this.picked) ?? null;
	}
	/** Keep edits of any job; whether nothing was wrong with them. */
	async keep(job: string, edits: Edit[]): Promise<boolean> {
		this.wrong = '';
		if (job === this.store.id) {
			const ok = await this.store.keep(edits, 'week');
			if (!ok) this.wrong = this.store.problemFor('week')?.detail ?? '';
			await this.load();
			return ok;
		}
		const head = await api.job(job);
		const got = await outbox.say({
			job,
			name: head.document.name,
			base: head.revision,
			author: session.who,
			said: { kind: 'edit', edits }
		});
		if (got.is === 'refused') this.wrong = got.problem.detail;
		await this.load();
		return got.is !== 'refused';
	}
	/** Send somebody to a job's task on a day, or take them off; a task that is booked for that day keeps whoever else is on it. */
	async send(job: string, on: string, name: string, there: boolean) {
		const document = (await api.job(job)).document;
		const rows = document.schedule?.tasks ?? [];
		const pour = document.order.pour_at?.slice(0, 10) === on;
		const booked = rows.find((row) => row.on === on);
		const key = pour ? 'pour' : (booked?.key ?? booked?.id ?? '');
		if (!key) return false;
		const own = rows.find((row) => (row.key ?? row.id) === key)?.people ?? [];
		const people = there ? [...new Set([...own, name])] : own.filter((one) => one !== name);
		return this.keep(job, [{ op: 'set_task', task: key, changes: { people: people.length ? people : null } } as Edit]);
	}
}
