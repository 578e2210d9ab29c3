/** A rod reading as it is typed, pressed or received, checked as it comes. */
import type { RodAnswer } from '../../api/schema';
import type { GroundData } from './ground.svelte';

export class Reading {
	typed = $state('');
	/** exact, when it came from a receiver */
	mm = $state<number | null>(null);
	answer = $state.raw<RodAnswer['said']>(null);
	/** what it should read there */
	should = $state('');
	where = $state('');
	working = $state.raw<RodAnswer['working'] | null>(null);
	shouldMm = $state<number | null>(null);
	/** the least and the greatest reading that is inside */
	insideMm = $state.raw<readonly number[] | null>(null);
	wrong = $state('');
	#ask = 0;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(
		readonly data: GroundData,
		/** id of a row of the rod card, null for the layer where the rod stands */
		readonly wanted: () => string | null
	) {}
	get value(): string | number {
		return this.mm ?? this.typed;
	}
	type(text: string) {
		this.typed = text;
		this.mm = null;
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.check(), 130);
	}
	async take(mm: number) {
		this.mm = mm;
		await this.check();
		this.typed = this.answer?.reading_text ?? `${mm} mm`;
	}
	async check() {
		clearTimeout(this.#timer);
		const ask = ++this.#ask;
		const empty = this.mm === null && !this.typed.trim();
		const got = await this.data.check(empty ? null : this.value, this.wanted());
		if (ask !== this.#ask) return;
		if ('words' in got) return void this.#set(null, empty ? '' : got.words);
		this.should = got.should_text;
		this.where = got.where;
		this.working = got.working;
		this.shouldMm = got.should_mm;
		this.insideMm = got.inside_mm;
		this.#set(got.said, '');
	}
	#set(answer: RodAnswer['said'], wrong: string) {
		this.answer = answer;
		this.wrong = wrong;
	}
	clear() {
		this.typed = '';
		this.mm = null;
		this.#set(null, '');
		this.should = this.where = '';
		this.working = null;
		if (this.wanted() !== null || this.data.stick) void this.check();
	}
}
