/** What the cure looks at: the weeks after at an hour, blankets that are tried, words that are written down. */
import { api } from '../../api/api';
import { clock } from '../../api/clock.svelte';
import type { CureState, CureTold, NewRecord, ProbeAsk, ZoneCure } from '../../api/schema';
import { addRecord, isWrong } from '../../state/record';
import { onTab } from '../../state/findings';
import type { JobStore } from '../../state/job.svelte';
import { Resource, troubleOf } from '../../state/resource.svelte';
import { session } from '../../state/session.svelte';
import { cureWords } from '../../words/cure';
import { afterWord, later, wall } from '../pour/minutes';

const ASK_AGAIN_MS = 1500;
const WEEKS_MS = 28 * 24 * 3600_000;
export type Values = Record<string, unknown>;

export class CureData {
	readonly #state: Resource<CureState, [string | null, string[]]>;
	/** hours after the newest word, where these are not the weeks after the pour */
	shift = $state(0);
	wrong = $state('');
	wrongAt = $state('');
	/** the zone that is looked at; zones that blankets are tried on */
	zone = $state('');
	tries = $state<string[]>([]);
	trying = $state(false);
	/** where the rod stands for the next shot, mm on the plan */
	spot = $state<[number, number] | null>(null);
	fault = $state<ProbeAsk['fault']>(null);
	probeSaid = $state('');
	#said = '';
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly store: JobStore) {
		this.#state = new Resource((at, blankets) => api.cure(store.id, { at, blankets }));
	}
	async load() {
		clearTimeout(this.#timer);
		if (!this.store.kept?.document.outline) return;
		const at = this.live || (this.shift && this.told) ? this.at : null;
		await this.#state.load(at, this.trying ? $state.snapshot(this.tries) : []);
		// the set clock is worked out beside; what it says of the pace comes a moment later
		if (this.told && !this.told.was_text && !this.#again)
			this.#timer = setTimeout(() => ((this.#again = true), void this.load()), ASK_AGAIN_MS);
	}
	#again = false;
	leave() {
		clearTimeout(this.#timer);
	}
	get state() {
		return this.#state.value;
	}
	get problem() {
		return this.#state.problem;
	}
	get told(): CureTold | null {
		return this.state?.told ?? null;
	}
	get missing() {
		return this.state?.missing ?? '';
	}
	/** whether it is one of the weeks after this pour */
	get live(): boolean {
		const begin = Date.parse(this.store.document?.order.pour_at ?? '');
		const now = clock.now().getTime();
		return Number.isFinite(begin) && now >= begin && now < begin + WEEKS_MS;
	}
	get at(): string {
		const newest = this.#newest;
		return this.live || !newest ? wall(clock.now()) : later(newest, this.shift * 60);
	}
	/** of the answer without a shift */
	#newestKept = '';
	get #newest(): string {
		if (!this.shift && this.told) this.#newestKept = this.told.now_at;
		return this.#newestKept || this.told?.now_at || '';
	}
	get zones(): ZoneCure[] {
		return this.told?.zones ?? [];
	}
	get held(): ZoneCure | null {
		return this.zones.find((one) => one.zone === this.zone) ?? this.zones[0] ?? null;
	}
	findings(tab: string) {
		return onTab(this.state?.findings ?? [], tab);
	}
	move(hours: number) {
		void this.#newest;
		this.shift = Math.max(0, this.shift + hours);
		void this.load();
	}
	turnTry(on: boolean) {
		this.trying = on;
		if (!on) this.tries = [];
		void this.load();
	}
	tryZone(zone: string) {
		this.tries = this.tries.includes(zone) ? this.tries.filter((one) => one !== zone) : [...this.tries, zone];
		void this.load();
	}
	async say(kind: NewRecord['kind'], values: Values, supersedes: string | null = null): Promise<boolean> {
		this.#said = afterWord(this.at, this.#said);
		const stamped = kind === 'struck' || kind === 'round' || kind === 'probe' ? values : { at: this.#said, ...values };
		const said = kind === 'struck' ? values : { by: session.who, ...stamped };
		const got = await addRecord(this.store, kind, said, session.who, supersedes);
		[this.wrong, this.wrongAt] = isWrong(got) ? [got.words, got.path] : ['', ''];
		if (!isWrong(got)) {
			// a word with an hour of its own is the newest now; a name or a word taken back moves no hour
			if (kind !== 'struck' && !('to' in values)) this.shift = 0;
			if (got) await this.store.load();
			await this.load();
		}
		return !isWrong(got);
	}
	strike(record: string) {
		return this.say('struck', { why: '' }, record);
	}
	/** Everything that the probe of a zone kept since it was read last. */
	async readProbe(zone: ZoneCure) {
		const since = later(this.at, -27 * 24 * 60);
		const from = zone.read_h.at(-1);
		try {
			const begin = from && this.told ? later(this.told.now_at, (from[1] - this.told.now_h) * 60) : since;
			const got = await api.readProbe(this.store.id, { zone: zone.zone, since: begin, until: this.at, fault: this.fault });
			this.probeSaid = got.rows.length ? cureWords.strength.took(got.rows.length) : cureWords.strength.nothing;
			if (got.rows.length) await this.say('probe', { probe: got.probe, zone: zone.zone, rows: got.rows, source: 'probe' });
		} catch (error) {
			this.probeSaid = troubleOf(error).words;
		}
	}
}
