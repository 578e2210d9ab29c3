/** What the pour looks at: the day at a minute, asked again as words come in; the minute that is written down; a day that is played. */
import { api } from '../../api/api';
import { addRecord, isWrong } from '../../state/record';
import type {
	ActTold,
	LeftTold,
	NewRecord,
	PlantAsk,
	PourAhead,
	PourState,
	PourTold,
	StripNow,
	TruckNow
} from '../../api/schema';
import { onTab } from '../../state/findings';
import type { JobStore } from '../../state/job.svelte';
import { Resource, troubleOf } from '../../state/resource.svelte';
import { outbox } from '../../outbox/outbox.svelte';
import { session } from '../../state/session.svelte';
import { clock } from '../../api/clock.svelte';
import { newId } from '../../outbox/pressed';
import { pourWords } from '../../words/pour';
import { Aloud } from './alert.svelte';
import { afterWord, later, saidHere, sameDay, wall } from './minutes';

const ASK_AGAIN_MS = 20_000;
const PLAY_MS = 700;
export type Values = Record<string, unknown>;

export class PourData {
	readonly #state: Resource<PourState, [string | null]>;
	readonly #ahead: Resource<PourAhead>;
	readonly aloud = new Aloud();
	/** minutes after the newest word, where it is not the day of the pour */
	shift = $state(0);
	/** what is wrong with what was said, and where */
	wrong = $state('');
	wrongAt = $state('');
	/** an act, a strip, a load that is looked at */
	act = $state('');
	load = $state('');
	trouble = $state('');
	/** a last load that is weighed, m3; null for the best */
	weighed = $state<number | null>(null);
	playing = $state.raw<{ at: number; of: number } | null>(null);
	/** what the plant answered last; a question is on its way */
	plantSaid = $state('');
	asking = $state(false);
	/** what the stand-in plant does */
	fault = $state<PlantAsk['fault']>(null);
	#asked = { text: '', id: '' };
	#timer: ReturnType<typeof setTimeout> | undefined;
	/** when the last word was said here */
	#said = '';
	#play: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly store: JobStore) {
		this.#state = new Resource((at) => api.pour(store.id, at));
		this.#ahead = new Resource(() => api.pourAhead(store.id));
	}
	async load_now() {
		clearTimeout(this.#timer);
		if (!this.store.kept?.document.outline) return;
		await this.#state.load(this.live ? wall(clock.now()) : this.shift && this.newest ? later(this.newest, this.shift) : null);
		if (this.live) this.#timer = setTimeout(() => void this.load_now(), ASK_AGAIN_MS);
	}
	leave() {
		clearTimeout(this.#timer);
		clearTimeout(this.#play);
		this.playing = null;
		this.aloud.leave();
	}
	get state() {
		return this.#state.value;
	}
	/** what to call for fronts and yards that may come */
	get ahead(): PourAhead | null {
		return this.#ahead.value;
	}
	/** nobody answers now */
	get alone(): boolean {
		return this.#state.offline;
	}
	async loadAhead() {
		if (this.store.kept?.document.outline) await this.#ahead.load();
	}
	get problem() {
		return this.#state.problem;
	}
	get told(): PourTold | null {
		return this.state?.told ?? null;
	}
	get missing() {
		return this.state?.missing ?? '';
	}
	get live(): boolean {
		return sameDay(clock.now(), this.store.document?.order.pour_at ?? '');
	}
	/** the last word of the day, else its start */
	get newest(): string {
		return this.state?.newest_at || this.told?.start_at || '';
	}
	/** when something is said that is said now */
	get at(): string {
		return this.live ? wall(clock.now()) : later(this.newest, this.shift);
	}
	/** the same for a word that is written down: never at the same second as the one before */
	#stamp(): string {
		const before = this.live ? '' : (this.state?.newest_at ?? '');
		this.#said = afterWord(afterWord(this.at, before), this.#said);
		return this.#said;
	}
	findings(tab: string) {
		return onTab(this.state?.findings ?? [], tab);
	}
	/** what was said here and is not kept yet */
	get waiting(): { kind: string; values: Values }[] {
		return outbox
			.of(this.store.id)
			.flatMap((row) => (row.said.kind === 'record' && row.state === 'waiting' ? [row.said.record] : []))
			.map(({ kind, values }) => ({ kind, values: values as Values }));
	}
	/** tickets among it */
	get waitingLoads(): Values[] {
		return this.waiting.filter((one) => one.kind === 'ticket' && one.values['m3']).map((one) => one.values);
	}
	/** acts that nobody answered, not even here */
	get acts(): ActTold[] {
		const said = saidHere(this.waiting);
		return (this.told?.acts ?? []).filter((one) => !said.has(one.key) && !said.has(one.kind));
	}
	get next(): ActTold | null {
		const rows = this.acts;
		return rows.find((one) => one.key === this.act) ?? rows[0] ?? null;
	}
	get strips(): StripNow[] {
		return this.told?.strips ?? [];
	}
	get trucks(): TruckNow[] {
		return this.told?.trucks ?? [];
	}
	get left(): LeftTold | null {
		return this.told?.left ?? null;
	}
	/** the truck that is being emptied, or the next that comes */
	get truck(): TruckNow | null {
		const rows = this.trucks;
		return rows.find((one) => one.load && one.load === this.load) ?? rows.find((one) => !one.here) ?? rows.at(-1) ?? null;
	}
	/** Move the minute where it is not the day of the pour. */
	move(minutes: number) {
		this.shift = Math.max(0, this.shift + minutes);
		void this.load_now();
	}
	/** Keep a record with its own time and look again; whether nothing was wrong with it. */
	async say(kind: NewRecord['kind'], values: Values, supersedes: string | null = null): Promise<boolean> {
		const said = kind === 'struck' ? values : { at: this.#stamp(), by: session.who, ...values };
		const got = await addRecord(this.store, kind, said, session.who, supersedes);
		[this.wrong, this.wrongAt] = isWrong(got) ? [got.words, got.path] : ['', ''];
		if (!isWrong(got)) {
			this.shift = 0;
			if (got) await this.store.load();
			await this.load_now();
		}
		return !isWrong(got);
	}
	strike(record: string) {
		return this.say('struck', { why: '' }, record);
	}
	/** An act is done, put off, or cannot be done. */
	async answer(act: ActTold, how: 'done' | 'put-off' | 'cannot', more: Values = {}): Promise<boolean> {
		const ok = await this.say('act_done', { act: act.key, how, ...more });
		if (ok) this.act = '';
		return ok;
	}
	struck(strip: string) {
		return this.say('front', { strip });
	}
	/** Where the front stands; with the load that ran out there. */
	tap(spot: [number, number], load = '') {
		return this.say('front', { spot, ...(load ? { load } : {}) });
	}
	/** Ask the plant: for the last load, or where it is. The same question after an answer that never came goes under the id it had. */
	async plant(call: { m3: number } | null): Promise<boolean> {
		const text = JSON.stringify([call, this.fault]);
		if (this.#asked.text !== text) this.#asked = { text, id: newId() };
		const said = {
			id: this.#asked.id,
			who: session.who,
			at_device: new Date().toISOString(),
			revision: this.store.kept?.revision ?? 1,
			at: this.#stamp(),
			fault: this.fault
		};
		this.asking = true;
		try {
			const got = call ? await api.callPlant(this.store.id, { ...said, ...call }) : await api.askPlant(this.store.id, said);
			[this.plantSaid, this.#asked, this.shift] = [got.words, { text: '', id: '' }, 0];
			if (got.kept) await this.store.load();
			await this.load_now();
			return got.kind === 'held';
		} catch (error) {
			const found = troubleOf(error);
			this.plantSaid = found.offline ? pourWords.left.noSignal : found.words;
			return false;
		} finally {
			this.asking = false;
		}
	}
	/** Strike every word of the day. */
	async strikeAll() {
		for (const record of this.told?.after.records ?? [])
			await addRecord(this.store, 'struck', { why: pourWords.notes.practice }, session.who, record);
		await this.store.load();
		await this.load_now();
	}
	/** Write a recorded day into the job, word by word. */
	async play(key: string) {
		if (this.playing) return this.stop();
		const { rows } = await api.recordedDay(this.store.id, key);
		const step = async (at: number) => {
			const row = rows[at];
			if (!row) return this.stop();
			this.playing = { at: at + 1, of: rows.length };
			await addRecord(this.store, row.kind as NewRecord['kind'], row.values, row.who);
			await this.store.load();
			await this.load_now();
			if (this.playing) this.#play = setTimeout(() => void step(at + 1), PLAY_MS);
		};
		await step(0);
	}
	stop() {
		clearTimeout(this.#play);
		this.playing = null;
	}
}
