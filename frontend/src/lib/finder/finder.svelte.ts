/** The finder: open or not, what is asked, what is lit. What it looks through is fetched when it opens. */
import { tick } from 'svelte';
import { api } from '../api/api';
import type { RecordRow, RuleRow, YardJob } from '../api/schema';
import type { JobStore } from '../state/job.svelte';
import { Resource } from '../state/resource.svelte';
import { everything, find, type Found, near, SHOWN } from './found';

class Finder {
	open = $state(false);
	asked = $state('');
	/** id of the row that is looked at */
	at = $state('');
	/** Enter was pressed before anything answered: what answers first is gone to */
	entered = $state(false);
	#store = $state.raw<JobStore | null>(null);
	#before: HTMLElement | null = null;
	readonly #jobs = new Resource<YardJob[]>(() => api.yard());
	readonly #rules = new Resource<RuleRow[], ['ft-in' | 'mm']>((units) => api.rules(units));
	readonly #records = new Resource<RecordRow[], [string]>((id) => api.records(id));
	readonly rows = $derived(
		everything({
			job: this.#store?.kept ?? null,
			doubts: this.#store?.doubts ?? null,
			records: this.#store ? (this.#records.value ?? []) : [],
			jobs: (this.#jobs.value ?? []).filter((job) => job.id !== this.#store?.id && !job.archived),
			rules: this.#rules.value ?? []
		})
	);
	readonly found = $derived(find(this.rows, this.asked));
	readonly shown = $derived(this.found.slice(0, SHOWN));
	readonly here = $derived<Found | null>(this.shown.find((row) => row.id === this.at) ?? this.shown[0] ?? null);
	readonly near = $derived(this.asked.trim() && !this.found.length ? near(this.rows, this.asked) : '');

	/** the job that is open, if one is */
	get store(): JobStore | null {
		return this.#store;
	}
	show(store: JobStore | null) {
		this.#before = document.activeElement instanceof HTMLElement ? document.activeElement : null;
		this.#store = store;
		[this.asked, this.at, this.open, this.entered] = ['', '', true, false];
		void this.#jobs.load();
		if (!this.#rules.value) void this.#rules.load(store?.units ?? 'ft-in');
		if (store) void this.#records.load(store.id);
	}
	/** Ask for something else. */
	ask(text: string) {
		[this.asked, this.at, this.entered] = [text, '', false];
	}
	/** A key that comes before its box stands there. */
	typed(key: string) {
		if (key === 'Enter') this.entered = true;
		else if (key === 'Backspace') this.ask(this.asked.slice(0, -1));
		else if (key.length === 1) this.ask(this.asked + key);
	}
	/** Give the bench back. back: the focus goes where it was. */
	close(back = true) {
		this.open = false;
		const before = back ? this.#before : null;
		this.#before = null;
		if (before) void tick().then(() => before.focus()); // the bench must stand again first
	}
}

export const finder = new Finder();
