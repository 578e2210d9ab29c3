/** String gaps or rod readings at the stakes of one side: as typed, what they come to, and keeping them. */
import { api } from '../../api/api';
import { troubleOf } from '../../state/resource.svelte';
import type { SideChecked, SideForm } from '../../api/schema';
import { note, restored } from '../../state/remember.svelte';
import { session } from '../../state/session.svelte';
import { w } from '../../words/words';
import type { LinesData } from './lines.svelte';

export type Kind = 'string-gaps' | 'form-levels';

export class StraightBox {
	kind = $state<Kind>('string-gaps');
	/** id of the side */
	side = $state('');
	block = $state('');
	want = $state('');
	inside = $state(false);
	typed = $state<string[]>([]);
	stations = $state.raw<number[]>([]);
	checked = $state.raw<SideChecked | null>(null);
	problem = $state.raw<{ words: string; row: number; field: string } | null>(null);
	kept = $state('');
	#ask = 0;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly data: LinesData) {
		this.block = data.store.units === 'mm' ? '20' : '3/4"';
	}
	/** Start on a side: a reading at every stake, or at the ends and the middle where no form stands. */
	open(at: number, form: SideForm | undefined, length_mm: number) {
		const side = this.data.store.cornerId(at);
		const stations = form?.stake_at_mm.length ? form.stake_at_mm : [0, length_mm / 2, length_mm];
		if (this.side === side && this.stations.length === stations.length) return;
		this.side = side;
		this.stations = stations;
		this.#bring();
		this.checked = null;
		this.problem = null;
	}
	choose(kind: Kind) {
		this.kind = kind;
		this.#bring();
		this.checked = null;
		this.problem = null;
		this.kept = '';
	}
	/** Readings that were typed here before it was left, else none. */
	#bring() {
		const old = restored<string[]>(this.#key);
		this.typed = old?.length === this.stations.length ? old : this.stations.map(() => '');
		if (old) this.soon();
	}
	get #key(): string {
		return `${this.data.store.id}/straight/${this.kind}/${this.side}`;
	}
	type(row: number, text: string) {
		this.typed[row] = text;
		note(this.#key, $state.snapshot(this.typed));
		this.soon();
	}
	soon() {
		this.kept = '';
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.check(), 250);
	}
	get #filled() {
		return this.stations.map((at_mm, i) => ({ at_mm, i, mm: (this.typed[i] ?? '').trim() })).filter((row) => row.mm);
	}
	#values() {
		const readings = this.#filled.map(({ at_mm, mm }) => ({ at_mm: Math.round(at_mm * 10) / 10, mm }));
		return this.kind === 'string-gaps'
			? { side: this.side, block_mm: this.block, string: this.inside ? 'inside' : 'outside', readings }
			: { side: this.side, want_mm: this.want, readings };
	}
	/** what the readings are held against is not said; true where it says so */
	#unsaid(): boolean {
		if (this.kind !== 'form-levels' || this.want.trim()) return false;
		this.problem = { words: w.lines.wantFirst, row: -1, field: 'want' };
		return true;
	}
	#wrong(words: string, path: string) {
		const at = Number(path.match(/readings\[(\d+)\]/)?.[1] ?? -1);
		this.problem = { words, row: this.#filled[at]?.i ?? -1, field: path };
	}
	async check() {
		const ask = ++this.#ask;
		const filled = this.#filled;
		this.problem = null;
		if (!filled.length) return void (this.checked = null);
		if (this.#unsaid()) return;
		try {
			const got = await api.straight(this.data.store.id, this.kind, { values: this.#values() });
			if (ask === this.#ask) this.checked = got.checked;
		} catch (error) {
			const found = troubleOf(error);
			if (ask !== this.#ask || found.offline) return;
			this.#wrong(found.words, found.path);
			this.checked = null;
		}
	}
	/** how many stakes have a reading */
	get readings(): number {
		return this.#filled.length;
	}
	/** Said at once, before anything is asked: leaving the screen or a lost signal takes nothing away. */
	async keep() {
		if (!this.readings || this.#unsaid()) return;
		const said = this.data.record(this.kind, this.#values(), session.who);
		clearTimeout(this.#timer);
		const checked = this.check();
		const wrong = await said;
		await checked;
		if (wrong) this.#wrong(wrong.words, wrong.path);
		else {
			this.kept = w.lines.readingsKept;
			note(this.#key, '');
		}
	}
}
