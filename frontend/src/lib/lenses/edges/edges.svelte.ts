/** What the Edges lens looks at: the picked thing or own line, its cut, and the ways to meet frost. */
import { api } from '../../api/api';
import { Offline } from '../../api/client';
import type { Section, SectionPlace, EdgesState, PartAlone } from '../../api/schema';
import type { XY } from '../../drawing/viewport';
import { cornerPlace, type Listed, rowPlace } from '../../state/ids';
import type { JobStore } from '../../state/job.svelte';
import { Resource, troubleOf } from '../../state/resource.svelte';
import { takeOut } from './shape_edits';

const LIST: Record<string, Listed> = {
	line: 'edges',
	beam: 'beams',
	pad: 'pads',
	recess: 'recesses',
	kerb: 'kerbs',
	'side-pad': 'side_pads'
};

export class EdgesData {
	/** what is picked, by its id; null for the first thickened side */
	#picked = $state.raw<{ kind: string; id: string } | null>(null);
	/** a line of the user's own, instead of a place */
	own = $state.raw<{ start: XY; end: XY } | null>(null);
	section = $state.raw<Section | null>(null);
	readonly #edges = new Resource<EdgesState>(() => api.edges(this.store.id));
	/** part numbers that light up */
	lit = $state.raw<number[]>([]);
	alone = $state.raw<PartAlone | null>(null);
	problem = $state('');
	#asked = '';
	#busy = false;

	constructor(readonly store: JobStore) {}

	/** what it meets and the ways to meet frost, as the program last worked them out */
	get state() {
		return this.#edges.value;
	}
	/** the thing picked and where it stands now, null where it is gone */
	get picked(): { kind: string; row: number } | null {
		const at = this.#picked;
		if (!at) return null;
		const plan = this.store.document;
		const list = LIST[at.kind];
		const row = list ? rowPlace(plan, list, at.id) : at.kind === 'side' ? cornerPlace(plan, at.id) : Number(at.id);
		return row === null ? null : { kind: at.kind, row };
	}
	get places(): SectionPlace[] {
		return this.store.figure?.section_places ?? [];
	}
	get place(): SectionPlace | null {
		const at = this.picked;
		const found = at ? this.places.find((one) => one.kind === at.kind && one.row === at.row) : undefined;
		return found ?? this.places.find((one) => one.kind === 'side' && one.mark) ?? this.places[0] ?? null;
	}
	get line(): { start: XY; end: XY } | null {
		if (this.own) return this.own;
		const place = this.place;
		return place ? { start: place.start, end: place.end } : null;
	}
	choose(kind: string, row: number) {
		const list = LIST[kind];
		this.#picked = { kind, id: list ? this.store.rowId(list, row) : kind === 'side' ? this.store.cornerId(row) : `${row}` };
		this.own = null;
	}
	unpick() {
		this.#picked = null;
	}
	/** Take out the beam, pad or recess that is picked. */
	async takeOutPicked() {
		const at = this.picked;
		if (!at || !['beam', 'pad', 'recess'].includes(at.kind)) return;
		const list = at.kind === 'beam' ? 'beams' : at.kind === 'pad' ? 'pads' : 'recesses';
		if (await this.store.keep([takeOut(list, [this.store.rowId(list, at.row)])], 'picked')) this.unpick();
	}
	/** Fetch the cut along the present line, with the edits that are being tried. */
	async load() {
		const line = this.line;
		if (!line || !this.store.kept) return void (this.section = null);
		const body = { start: line.start, end: line.end, edits: this.store.trying };
		const asked = JSON.stringify([body, this.store.kept.revision]);
		if (this.#busy || asked === this.#asked) return;
		this.#busy = true;
		this.#asked = asked;
		try {
			const got = await api.section(this.store.id, body);
			this.section = got.section;
			this.problem = '';
		} catch (error) {
			const found = troubleOf(error);
			if (found.offline) {
				this.#asked = '';
				const old = error instanceof Offline && !this.section ? await error.seen() : null;
				if (old) this.section = (old.body as { section: Section }).section;
			} else this.problem = found.words;
		} finally {
			this.#busy = false;
		}
		const now = this.line;
		if (now && (now.start !== line.start || now.end !== line.end)) await this.load();
	}
	async loadState() {
		if (!this.store.kept?.document.outline) return;
		await this.#edges.load();
		this.problem = this.#edges.problem;
	}
	async light(numbers: number[]) {
		this.lit = numbers;
		this.alone = null;
		const only = numbers[0];
		if (numbers.length !== 1 || only === undefined) return;
		try {
			this.alone = await api.partAlone(this.store.id, only);
		} catch {
			this.alone = null;
		}
	}
}
