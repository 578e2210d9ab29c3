/** The ground of the kept revision as the program works it out, and what is picked on it. */
import { api } from '../../api/api';
import type { GroundState, NewRecord, RodAnswer } from '../../api/schema';
import type { XY } from '../../drawing/viewport';
import { forgetId, idOf } from '../../outbox/pressed';
import { rowPlace } from '../../state/ids';
import type { JobStore } from '../../state/job.svelte';
import { addRecord, isWrong, type Wrong } from '../../state/record';
import { FileReading } from '../../state/reading.svelte';
import { Resource, troubleOf } from '../../state/resource.svelte';
import { session } from '../../state/session.svelte';

export class GroundData {
	readonly #ground = new Resource<GroundState>(() => api.ground(this.store.id, this.layer));
	layer = $state('base');
	/** where the rod stands on the plan */
	stick = $state.raw<XY | null>(null);
	#zone = $state('');
	readonly reading = new FileReading();

	constructor(readonly store: JobStore) {}
	/** the ground as the program last worked it out */
	get state() {
		return this.#ground.value;
	}
	get problem() {
		return this.#ground.problem;
	}
	get stand() {
		return this.state?.ground.stands.at(-1) ?? null;
	}
	/** where the zone whose core or fall is looked at stands now */
	get zone(): number {
		return rowPlace(this.store.document, 'zones', this.#zone) ?? 0;
	}
	set zone(at: number) {
		this.#zone = this.store.rowId('zones', at);
	}
	get zones() {
		return this.store.document?.zones ?? [];
	}
	#asked = '';
	#answer: Promise<unknown> = Promise.resolve();
	/** Ask for the ground of what is kept now; asked once while that stays the same. */
	async load() {
		const kept = this.store.kept;
		if (!kept?.document.outline) return;
		const asked = `${kept.revision} ${kept.records} ${this.layer}`;
		if (this.#asked !== asked || this.#ground.problem || this.#ground.offline) this.#answer = this.#ground.load();
		this.#asked = asked;
		await this.#answer;
	}
	async choose(layer: string) {
		this.layer = layer;
		await this.load();
	}
	/** Keep a record, then everything that hangs on it. Null when it went through. */
	async record(
		kind: NewRecord['kind'],
		values: Record<string, unknown>,
		supersedes: string | null = null
	): Promise<Wrong | null> {
		const got = await addRecord(this.store, kind, values, session.who, supersedes);
		if (isWrong(got)) return got;
		if (!got) return null;
		await this.store.load();
		await this.load();
		return null;
	}
	strike(id: string) {
		return this.record('struck', {}, id);
	}
	/** A reading against a row of the rod card, or against the layer where the rod stands. */
	async check(reading: string | number | null, surface: string | null, spot: XY | null = this.stick): Promise<RodAnswer | Wrong> {
		if (!this.stand) return { words: '', path: '' };
		const at = surface === null ? spot : null;
		try {
			const body = { reading, level_mm: null, surface, at, layer: this.layer };
			return await api.rodCheck(this.store.id, body);
		} catch (error) {
			return troubleOf(error);
		}
	}
	async file(file: File): Promise<string> {
		try {
			const record = idOf(this.store.id, { file: file.name, size: file.size, changed: file.lastModified, layer: this.layer });
			await this.reading.read((reading) =>
				api.shotsFile(this.store.id, file, {
					record,
					layer: this.layer,
					who: session.who,
					setup: this.stand?.id ?? null,
					reading
				})
			);
			forgetId(this.store.id, record);
		} catch (error) {
			return troubleOf(error).words;
		}
		await this.store.load();
		await this.load();
		return '';
	}
}
