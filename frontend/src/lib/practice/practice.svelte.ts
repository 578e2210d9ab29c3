/** The open exercise: what is said so far, what was read, and what it came to. */
import { api } from '../api/api';
import type { Exercise, PracticeYard } from '../api/schema';
import { newId } from '../outbox/pressed';
import { Resource, troubleOf } from '../state/resource.svelte';
import { isoOf, plus, today } from '../ui/days';
import { exercise, here, keyOf, makeAhead, nextSeed, used, type Units } from './ahead';
import { Book } from './book.svelte';
import { begun, mark, unsaid, type Answer, type Marked } from './mark';

export class Practice {
	yard = new Resource<PracticeYard>(() => api.practice(today()));
	book = new Book();
	kind = $state('rack');
	level = $state(1);
	units = $state<Units>('ft-in');
	open = $state.raw<Exercise | null>(null);
	answer = $state.raw<Answer>({});
	/** readings that were taken, by id */
	read = $state.raw<string[]>([]);
	marked = $state.raw<Marked | null>(null);
	offline = $state(false);
	problem = $state('');
	gave = $state('');
	#ask = 0;
	readonly missing = $derived(this.open ? unsaid(this.open, this.answer) : '');
	readonly title = $derived(this.yard.value?.kinds.find((one) => one.key === this.kind)?.title ?? '');

	/** seed: null for the next one. */
	async show(kind: string, level: number, seed: number | null = null): Promise<void> {
		const own = ++this.#ask;
		[this.kind, this.level, this.problem, this.gave] = [kind, level, '', ''];
		[this.open, this.marked, this.read, this.answer] = [null, null, [], {}];
		const key = keyOf(kind, level, this.units);
		try {
			let got = await exercise(kind, level, seed ?? nextSeed(key), this.units);
			for (const other of got.made ? [] : here(key)) {
				got = await exercise(kind, level, other, this.units);
				if (got.made) break;
			}
			if (own !== this.#ask) return;
			this.offline = got.offline;
			this.open = got.made;
			if (!got.made) return;
			this.answer = begun(got.made);
			used(key, got.made.seed);
			if (!got.offline) void this.#ahead(own);
		} catch (error) {
			if (own === this.#ask) this.problem = troubleOf(error).words;
		}
	}
	/** This kind first, then the others: they are there when the signal is not. */
	async #ahead(own: number): Promise<void> {
		const others = (this.yard.value?.kinds ?? []).map((one) => one.key).filter((key) => key !== this.kind);
		await makeAhead([this.kind], this.level, this.units);
		if (own === this.#ask) await makeAhead(others, this.level, this.units);
	}
	set(ask: string, key: string): void {
		if (this.marked) return;
		this.answer = { ...this.answer, [ask]: key };
	}
	look(id: string): void {
		if (!this.read.includes(id)) this.read = [...this.read, id];
	}
	/** Said: what it comes to, kept here and by name where that is wanted. */
	async say(): Promise<void> {
		if (!this.open || this.missing || this.marked) return;
		const own = this.open;
		this.marked = mark(own, this.answer);
		this.book.note({ kind: own.kind, level: own.level, grade: this.marked.grade, off: this.marked.off });
		const who = this.book.keep;
		if (!who) return;
		const { kind, level, seed, units } = own;
		await this.book.say({ id: newId(), who, kind, level, seed, units, answer: this.answer, at: new Date().toISOString() });
		await this.yard.load();
	}
	async give(who: string): Promise<void> {
		if (!this.open) return;
		const { kind, level, seed, units } = this.open;
		const day = plus(isoOf(new Date()), 1);
		try {
			await api.givePractice({ id: newId(), who, kind, level, seed, units, day });
			this.gave = day;
			await this.yard.load();
		} catch (error) {
			this.problem = troubleOf(error).words;
		}
	}
	async takeBack(id: string): Promise<void> {
		try {
			await api.takeBackPractice(id);
			await this.yard.load();
		} catch (error) {
			this.problem = troubleOf(error).words;
		}
	}
}
