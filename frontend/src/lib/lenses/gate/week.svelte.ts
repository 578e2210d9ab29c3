/** The week of all jobs: asked for by its first day; who is put where is kept in the job that it is of. */
import { api } from '../../api/api';
import type { WeekState, PersonTold } from '../../api/schema';
import { outbox } from '../../outbox/outbox.svelte';
import { session } from '../../state/session.svelte';
import type { Edit, JobStore } from '../../state/job.svelte';
import { Resource } from '../../state/resource.svelte';
import { holdWords } from '../../words/holds';
import { dateOf, dayText, plus, today } from '../../ui/days';

const words = holdWords.week;
export const mondayOf = (iso: string): string => plus(iso, -((dateOf(iso).getDay() + 6) % 7));

export class WeekData {
	readonly #state: Resource<WeekState, [string]>;
	from = $state(mondayOf(today()));
	/** the person that is followed */
	picked = $state('');
	wrong = $state('');
	/** the last move, to be put back */
	last = $state<{ name: string; from: { job: string; day: number }; to: { job: string; day: number } } | null>(null);
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
	/** From one stop to another: onto the task that is booked there first, then off the old one; nobody is lost on the way. */
	async move(name: string, from: { job: string; day: number }, to: { job: string; day: number }): Promise<boolean> {
		const week = this.week;
		const [was, now] = [week?.days[from.day], week?.days[to.day]];
		if (!week || !was || !now || (from.job === to.job && from.day === to.day)) return false;
		if (!week.stops.some((one) => one.job === to.job && one.day === to.day)) {
			this.wrong = words.nothingThere(week.lanes.find((one) => one.id === to.job)?.name ?? '', dayText(now));
			return false;
		}
		this.wrong = '';
		this.last = { name, from, to };
		return (await this.send(to.job, now, name, true)) && (await this.send(from.job, was, name, false));
	}
	/** The last move, put back. */
	async back() {
		const last = this.last;
		if (last && (await this.move(last.name, last.to, last.from))) this.last = null;
	}
	/** 'Birk thu ferrier': a person, a day, the beginning of a word of a job's name. */
	async said(text: string): Promise<boolean> {
		const week = this.week;
		const parts = text.trim().toLowerCase().split(/[ ]+/);
		const who = week?.people.find((one) => one.name.toLowerCase().startsWith(parts[0] ?? ' '));
		const day = week?.days.findIndex((on) => !!parts[1] && dayText(on).toLowerCase().startsWith(parts[1].slice(0, 3))) ?? -1;
		const job = week?.lanes.find(
			(one) =>
				!!parts[2] &&
				one.name
					.toLowerCase()
					.split(' ')
					.some((word) => word.startsWith(parts[2] ?? ' '))
		);
		if (!week || !who || day < 0 || !job) {
			this.wrong = words.cannotHear;
			return false;
		}
		this.picked = who.name;
		const here = who.stops.find(([at]) => at === day);
		if (here) return this.move(who.name, { job: here[1], day }, { job: job.id, day });
		if (!week.stops.some((one) => one.job === job.id && one.day === day)) {
			this.wrong = words.nothingThere(job.name, dayText(week.days[day] ?? ''));
			return false;
		}
		return this.send(job.id, week.days[day] ?? '', who.name, true);
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
