/** What Cure's last tabs look at: the slab as it stands, lessons, what is handed over. Words are said through the cure. */
import { api } from '../../api/api';
import type { BuiltState, HandOverState, LessonsState, MadeJob, NewRecord } from '../../api/schema';
import { session } from '../../state/session.svelte';
import { Resource, troubleOf } from '../../state/resource.svelte';
import { today } from '../../ui/days';
import type { CureData, Values } from './cure.svelte';

const ASK_AGAIN_MS = 1800;

export class AfterData {
	readonly #built: Resource<BuiltState>;
	readonly #lessons: Resource<LessonsState>;
	readonly #hand: Resource<HandOverState>;
	/** the thing that is pressed on the plan, by its key; a pad that is being added instead */
	held = $state('');
	adding = $state(false);
	/** the lesson that is looked at */
	lesson = $state('');
	busy = $state(false);
	wrong = $state('');
	made = $state<MadeJob[]>([]);
	#tab = '';
	#again = 0;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly cure: CureData) {
		const id = cure.store.id;
		this.#built = new Resource(() => api.built(id));
		this.#lessons = new Resource(() => api.lessons(id));
		this.#hand = new Resource(() => api.handOver(id, today()));
	}
	get store() {
		return this.cure.store;
	}
	async load(tab: string) {
		clearTimeout(this.#timer);
		this.#tab = tab;
		if (!this.store.kept?.document.outline) return;
		if (tab === 'built') await this.#built.load();
		if (tab === 'papers') await this.#hand.load();
		if (tab !== 'lessons') return;
		await this.#lessons.load();
		// the set clock is worked out beside: once more when it may be there
		const set = this.lessons.find((one) => one.key === 'set');
		if (set && set.state === 'nothing' && this.#again++ < 1) this.#timer = setTimeout(() => void this.load(tab), ASK_AGAIN_MS);
	}
	leave() {
		clearTimeout(this.#timer);
	}
	get built(): BuiltState | null {
		return this.#built.value;
	}
	get told() {
		return this.#lessons.value?.told ?? null;
	}
	get lessons() {
		return this.told?.lessons ?? [];
	}
	get findings() {
		return this.#lessons.value?.findings ?? [];
	}
	get mayTake() {
		return this.#lessons.value?.may_take ?? false;
	}
	get hand(): HandOverState | null {
		return this.#hand.value;
	}
	get problem(): string {
		return { built: this.#built, lessons: this.#lessons, papers: this.#hand }[this.#tab]?.problem ?? '';
	}
	/** what is shown may be of before */
	get offline(): boolean {
		return { built: this.#built, lessons: this.#lessons, papers: this.#hand }[this.#tab]?.offline ?? false;
	}
	get thing() {
		return this.built?.things.find((one) => one.key === this.held) ?? null;
	}
	press(key: string) {
		this.adding = false;
		this.held = this.held === key ? '' : key;
	}
	add() {
		[this.held, this.adding] = ['', true];
	}
	async say(kind: NewRecord['kind'], values: Values, supersedes: string | null = null): Promise<boolean> {
		const said = await this.cure.say(kind, values, supersedes);
		this.wrong = this.cure.wrong;
		this.cure.wrong = '';
		if (said) await this.load(this.#tab);
		return said;
	}
	strike(record: string) {
		return this.say('struck', { why: '' }, record);
	}
	/** An act that the program answers at once, or not at all; what it answers is shown. */
	async #do(act: () => Promise<LessonsState | null>): Promise<boolean> {
		this.busy = true;
		this.wrong = '';
		try {
			const got = await act();
			if (got) this.#lessons.value = got;
			void this.store.load();
			return true;
		} catch (error) {
			this.wrong = troubleOf(error).words;
			return false;
		} finally {
			this.busy = false;
		}
	}
	take(key: string, take: boolean, reason: string) {
		return this.#do(() => api.takeLesson(this.store.id, { key, take, reason, at: this.cure.at, author: session.who }));
	}
	undo(key: string) {
		return this.#do(() => api.undoLesson(this.store.id, { key, at: this.cure.at, author: session.who }));
	}
	secondJob(part: string, pour_at: string | null) {
		return this.#do(async () => {
			this.made = await api.secondJob(this.store.id, { part, pour_at, author: session.who });
			return null;
		});
	}
}
