/** What the Steel lens looks at: every mark with what is being tried, the mark that is held, and the cuts. */
import { typedLength } from '../../ui/typed';
import { api } from '../../api/api';
import type { MarkTold, Place, SteelCuts, SteelState } from '../../api/schema';
import type { Edit, JobStore } from '../../state/job.svelte';
import { Resource, troubleOf } from '../../state/resource.svelte';
import { tried } from '../../state/tried';

/** What a call is of: a slab type, a cage's type, a side. */
export interface Target {
	kind: 'slab' | 'edge' | 'beam' | 'pad' | 'pile' | 'dowels' | 'hand';
	mark: string;
	dowels?: string;
}

export class SteelData {
	readonly #state: Resource<SteelState>;
	/** the cuts that were worked out last; how far newer ones are, null while none are worked out; whether they were let go */
	#cuts = $state.raw<SteelCuts | null>(null);
	share = $state<number | null>(null);
	gone = $state(false);
	#asked = 0;
	#held = $state('');
	#target = $state.raw<Target | null>(null);
	#look = $state.raw({ place: '', look: '' });

	constructor(readonly store: JobStore) {
		this.#state = tried(store, api.steel);
	}

	get problem() {
		return this.#state.problem;
	}
	get laid() {
		return this.#state.value?.steel ?? null;
	}
	get findings() {
		return this.#state.value?.findings ?? [];
	}
	get unsaid() {
		return this.#state.value?.unsaid ?? [];
	}
	get keys() {
		return this.#state.value?.keys ?? [];
	}
	get bare() {
		return this.#state.value?.bare ?? [];
	}
	get cuts() {
		return this.#cuts?.cuts ?? null;
	}
	/** how many bars are bought, and what they weigh */
	get bought() {
		return this.#cuts;
	}
	get marks(): MarkTold[] {
		return this.laid?.marks ?? [];
	}
	/** marks of slabs: mats, bars along edges, across corners, round openings */
	get mats() {
		return this.marks.filter((row) => /^(mat|rim|diagonal|trimmer)/.test(row.key));
	}
	get caged() {
		return this.marks.filter((row) => /^(edge|beam|pad|pile)\//.test(row.key));
	}
	/** the mark that is held, by its letter */
	get held() {
		return this.marks.find((row) => row.mark === this.#held) ?? null;
	}
	hold(mark: string) {
		this.#held = this.#held === mark ? '' : mark;
	}
	/** Mark to mark, of those that are shown. */
	step(by: number, rows: readonly MarkTold[]) {
		const at = rows.findIndex((row) => row.mark === this.#held);
		const next = rows[at < 0 ? 0 : at + by];
		if (next) this.#held = next.mark;
	}
	get places(): Place[] {
		return this.#state.value?.places ?? [];
	}
	get barNames() {
		return this.#state.value?.bar_names ?? [];
	}
	/** the place that is looked at: the one that was pressed, else where something is short, else where nobody looked */
	get place() {
		const open = (row: Place) => row.looks.some((one) => one.state === 'open');
		const rows = this.places;
		return rows.find((row) => row.id === this.#look.place) ?? rows.find((row) => row.short) ?? rows.find(open) ?? rows[0] ?? null;
	}
	get look() {
		const rows = this.place?.looks ?? [];
		return (
			rows.find((row) => row.look === this.#look.look) ??
			rows.find((row) => row.state === 'short') ??
			rows.find((row) => row.state === 'open') ??
			rows[0] ??
			null
		);
	}
	lookAt(place: string, look: string) {
		this.#look = { place, look };
	}
	get target() {
		return this.#target;
	}
	aim(target: Target | null) {
		this.#target = target;
	}
	/** what a target holds now, as it was called */
	drawn(target: Target): string {
		const said = this.store.document?.steel;
		if (target.kind === 'slab') return said?.ways?.find((row) => row.slab === target.mark)?.drawn ?? '';
		if (target.kind === 'hand') return this.onHand;
		return said?.cages?.find((row) => row.of === target.kind && row.mark === target.mark)?.drawn ?? '';
	}
	/** bars that need not be bought, as they would be called */
	get onHand(): string {
		const { units } = this.store;
		return (this.store.document?.steel?.on_hand ?? [])
			.map((row) => `${row.count} ${row.bar} at ${typedLength(row.length_mm, units)}`)
			.join(', ');
	}
	edit(target: Target, text: string): Edit {
		if (target.kind === 'slab') return { op: 'call_slab_steel', slab: target.mark, text } as Edit;
		if (target.kind === 'dowels' && /^\s*key/i.test(text)) return { op: 'call_key', side: target.mark, text } as Edit;
		if (target.kind === 'dowels') return { op: 'call_dowels', side: target.mark, text, dowels: target.dowels ?? null } as Edit;
		if (target.kind === 'hand') return { op: 'call_on_hand', text } as Edit;
		return { op: 'call_cage', of: target.kind, mark: target.mark, text } as Edit;
	}
	async load() {
		if (this.store.kept?.document.outline) await this.#state.load();
	}
	async loadCuts() {
		if (!this.store.kept?.document.outline) return;
		const ask = ++this.#asked;
		this.gone = false;
		const slow = setTimeout(() => (this.share ??= 0), 300);
		try {
			let got = await api.steelCuts(this.store.id);
			while (got.counting !== null && ask === this.#asked && !this.gone) {
				this.share = got.counting;
				got = await api.steelCuts(this.store.id);
			}
			if (ask === this.#asked && !this.gone) this.#cuts = got;
		} catch (error) {
			const found = troubleOf(error);
			if (!found.offline) this.cutProblem = found.words;
		} finally {
			clearTimeout(slow);
			if (ask === this.#asked) this.share = null;
		}
	}
	/** what stood in the way of the cuts */
	cutProblem = $state('');
	/** Stop working out the cuts. */
	async stopCuts() {
		this.gone = true;
		this.share = null;
		await api.dropSteelCuts(this.store.id);
	}
}
