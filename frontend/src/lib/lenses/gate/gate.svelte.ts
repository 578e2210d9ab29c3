/** What the day looks at: its answer, asked for until it is there; the hour of the peg; a ribbon that is looked at. */
import { api } from '../../api/api';
import type { DaySheet, DayState, NewRecord, RibbonTold, WeatherState } from '../../api/schema';
import type { Edit, JobStore } from '../../state/job.svelte';
import { onTab } from '../../state/findings';
import { addRecord, isWrong } from '../../state/record';
import { Resource, troubleOf } from '../../state/resource.svelte';
import { session } from '../../state/session.svelte';
import { tried } from '../../state/tried';
import { clock } from './tape';

const ASK_AGAIN_MS = 350;
export type Seen = 'print' | 'soft' | 'none';

export class DayData {
	readonly #state: Resource<DayState>;
	/** the hour of the peg, from midnight of the pour's day; null for the start */
	peg = $state<number | null>(null);
	/** the ribbon that is looked at, `zone/truck` */
	picked = $state('');
	wrong = $state('');
	/** what is wrong with weather that was brought in */
	weatherWrong = $state('');
	/** the last sheet that stood, while another one is worked out */
	#last = $state.raw<DaySheet | null>(null);
	#again: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly store: JobStore) {
		this.#state = tried(store, (id, body) => api.day(id, body));
	}
	async load() {
		clearTimeout(this.#again);
		if (!this.store.kept?.document.outline) return;
		await this.#state.load();
		const now = this.#state.value;
		if (now?.sheet) this.#last = now.sheet;
		else if (now?.missing) this.#last = null;
		if (now && now.counting !== null) this.#again = setTimeout(() => void this.load(), ASK_AGAIN_MS);
	}
	leave() {
		clearTimeout(this.#again);
	}
	get state() {
		return this.#state.value;
	}
	get problem() {
		return this.#state.problem;
	}
	get counting() {
		return this.#state.value?.counting ?? null;
	}
	get missing() {
		return this.#state.value?.missing ?? '';
	}
	get sheet(): DaySheet | null {
		return this.#last;
	}
	get findings() {
		return onTab(this.#state.value?.findings ?? [], 'day');
	}
	get hour(): number {
		return this.peg ?? this.sheet?.start_h ?? 8;
	}
	/** where sun and shade stand at the peg's hour */
	get moment() {
		const rows = this.sheet?.moments ?? [];
		if (!rows.length) return null;
		const day = ((this.hour % 24) + 24) % 24;
		return rows[Math.min(rows.length - 1, Math.round(day * 6))] ?? null;
	}
	/** the ribbon that is pressed, or the next that may be floated */
	get ribbon(): RibbonTold | null {
		const rows = this.sheet?.ribbons ?? [];
		return rows.find((row) => keyOf(row) === this.picked) ?? this.next ?? rows[0] ?? null;
	}
	/** the next to be floated that has no print yet */
	get next(): RibbonTold | null {
		const seen = (row: RibbonTold) =>
			this.sheet?.prints.some((one) => one.seen !== 'soft' && one.zone === row.zone && one.truck === row.truck);
		const float = (row: RibbonTold) => row.events.find((one) => one.key === 'float_at')?.span?.at_h ?? Infinity;
		return [...(this.sheet?.ribbons ?? [])].filter((row) => !seen(row)).sort((a, b) => float(a) - float(b))[0] ?? null;
	}
	/** Keep plain fields of the plan by their key path. */
	async set(values: Record<string, unknown>, at = 'day') {
		return this.keep({ op: 'set_fields', values }, at);
	}
	async keep(edit: object, at = 'day') {
		const kept = await this.store.keep([edit as Edit], at);
		await this.load();
		return kept;
	}
	help(key: string) {
		const on = this.state?.helps ?? [];
		return this.set({ 'day.helps': on.includes(key) ? on.filter((one) => one !== key) : [...on, key] }, 'helps');
	}
	/** Keep a record, and look again; whether nothing was wrong with it. */
	async record(kind: NewRecord['kind'], values: Record<string, unknown>, supersedes: string | null = null): Promise<boolean> {
		const got = await addRecord(this.store, kind, values, session.who, supersedes);
		this.wrong = isWrong(got) ? got.words : '';
		if (!isWrong(got) && got) await this.store.load();
		await this.load();
		return !isWrong(got);
	}
	/** What was read of weather, kept as a record; the question where something is asked. */
	async weather(ask: () => Promise<WeatherState>): Promise<WeatherState | null> {
		this.weatherWrong = '';
		try {
			const read = await ask();
			if (read.weather) {
				await this.record('weather', read.weather as unknown as Record<string, unknown>);
				[this.weatherWrong, this.wrong] = [this.wrong, ''];
			}
			return read;
		} catch (error) {
			this.weatherWrong = troubleOf(error).words;
			return null;
		}
	}
	/** The hour at which something is seen: now, where it is the day of the pour, else that of the peg. */
	get seenAt(): { at: string; live: boolean } {
		const day = (this.sheet?.start_local ?? '').slice(0, 10);
		const now = new Date();
		const two = (n: number) => `${n}`.padStart(2, '0');
		const here = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
		if (here === day) return { at: now.toISOString(), live: true };
		return { at: `${day}T${clock(this.hour, this.sheet?.jumps ?? []).padStart(5, '0')}`, live: false };
	}
	see(seen: Seen) {
		const row = this.ribbon;
		if (!row) return Promise.resolve(false);
		return this.record('footprint', { seen, at: this.seenAt.at, zone: row.zone, truck: row.truck, by: session.who });
	}
	/** Take the last print back. */
	async unsee() {
		const last = this.sheet?.prints.at(-1);
		return last ? this.record('struck', { why: '' }, last.record) : false;
	}
}
export const keyOf = (row: { zone: string; truck: number }): string => `${row.zone}/${row.truck}`;
