/** The ground of the kept revision as the program works it out, and what is picked on it. */
import { api } from '../../api/api';
import { ApiProblem, Offline } from '../../api/client';
import type { GroundState, NewRecord, RodAnswer } from '../../api/schema';
import type { XY } from '../../drawing/viewport';
import { forgetId, idOf } from '../../outbox/pressed';
import { rowPlace } from '../../state/ids';
import type { JobStore } from '../../state/job.svelte';
import { addRecord, isWrong, type Wrong } from '../../state/record';
import { FileReading } from '../../state/reading.svelte';
import { session } from '../../state/session.svelte';
import { w } from '../../words/words';

export class GroundData {
	state = $state.raw<GroundState | null>(null);
	layer = $state('base');
	/** where the rod stands on the plan */
	stick = $state.raw<XY | null>(null);
	#zone = $state('');
	problem = $state('');
	readonly reading = new FileReading();
	#asked = 0;

	constructor(readonly store: JobStore) {}
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
	async load() {
		if (!this.store.kept?.document.outline) return;
		const ask = ++this.#asked;
		try {
			const got = await api.ground(this.store.id, this.layer);
			if (ask !== this.#asked) return;
			this.state = got;
			this.problem = '';
		} catch (error) {
			if (error instanceof ApiProblem) this.problem = error.problem.detail;
			else if (!(error instanceof Offline)) throw error;
		}
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
		await Promise.all([this.load(), this.store.load()]);
		return null;
	}
	strike(id: string) {
		return this.record('struck', {}, id);
	}
	/** A reading against a row of the rod card, or against the layer where the rod stands. */
	async check(reading: string | number | null, surface: string | null): Promise<RodAnswer | Wrong> {
		if (!this.stand) return { words: '', path: '' };
		const at = surface === null ? this.stick : null;
		try {
			const body = { reading, level_mm: null, surface, at, layer: this.layer };
			return await api.rodCheck(this.store.id, body);
		} catch (error) {
			if (error instanceof ApiProblem) return { words: error.problem.detail, path: error.problem.path };
			if (error instanceof Offline) return { words: 'No answer from the program.', path: '' };
			throw error;
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
			if (error instanceof ApiProblem) return error.problem.detail;
			if (error instanceof Offline) return w.notices.noAnswer;
			throw error;
		}
		await Promise.all([this.load(), this.store.load()]);
		return '';
	}
}
