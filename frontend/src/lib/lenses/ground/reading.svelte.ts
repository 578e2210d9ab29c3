/** A rod reading as it is typed, pressed or received, checked as it comes. */
import type { RodAnswer } from '../../api/schema';
import type { GroundData } from './ground.svelte';

export class Reading {
	typed = $state('');
	/** exact, when it came from a receiver */
	mm = $state<number | null>(null);
	answer = $state.raw<RodAnswer | null>(null);
	wrong = $state('');
	#ask = 0;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(
		readonly data: GroundData,
		/** the level that is wanted, null for the layer where the rod stands */
		readonly wanted: () => number | null
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
		const ask = ++this.#ask;
		if (this.mm === null && !this.typed.trim()) return void this.#set(null, '');
		const got = await this.data.check(this.value, this.wanted());
		if (ask !== this.#ask) return;
		if ('words' in got && 'off_mm' in got) this.#set(got, '');
		else this.#set(null, (got as { words: string }).words);
	}
	#set(answer: RodAnswer | null, wrong: string) {
		this.answer = answer;
		this.wrong = wrong;
	}
	clear() {
		this.typed = '';
		this.mm = null;
		this.#set(null, '');
	}
}
