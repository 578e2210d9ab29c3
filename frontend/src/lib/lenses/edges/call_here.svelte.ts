/** What is pressed on the sheet and what is called there: tried while it is typed, kept on Enter. */
import { inside } from '../../drawing/empty_place';
import type { Pick } from '../../drawing/pick.svelte';
import { snapped, snapStep } from '../../drawing/marks';
import type { Viewport, XY } from '../../drawing/viewport';
import type { Edit, JobStore } from '../../state/job.svelte';
import { session } from '../../state/session.svelte';
import type { EdgesData } from './edges.svelte';

export class CallHere {
	text = $state('');
	/** a spot inside, snapped; or where a wall was pressed */
	spot = $state.raw<XY | null>(null);
	#along = $state.raw<{ side: string; mm: number } | null>(null);
	/** whether Enter was pressed on what cannot be kept: then the reason is said loudly */
	refused = $state(false);
	/** asks for the box to take the focus */
	wanted = $state(0);
	/** the sheet's view, for what is dropped on it from the bench */
	view: Viewport | null = null;

	constructor(
		readonly store: JobStore,
		readonly pick: Pick,
		/** beams, pads and recesses are picked there */
		private readonly data: EdgesData
	) {}

	get side(): number | null {
		return this.pick.side;
	}
	get corner(): number | null {
		return this.pick.corner;
	}
	/** the zone in which the pressed spot lies */
	get zone() {
		const at = this.spot;
		const drawn = at ? this.store.figure?.drawing?.zones.find((one) => inside(at, one.rings)) : undefined;
		return drawn ? (this.store.figure?.top?.zones.find((one) => one.row === drawn.index) ?? null) : null;
	}
	/** id of the recess that is picked */
	get recess(): string | null {
		const at = this.data.picked;
		return at?.kind === 'recess' ? this.store.rowId('recesses', at.row) : null;
	}
	/** id of the beam or pad that is picked, to be of the kind that is called */
	#lies(kind: 'beam' | 'pad'): string | null {
		const at = this.data.picked;
		return at?.kind === kind && !this.pressed ? this.store.rowId(`${kind}s`, at.row) : null;
	}
	get pressed(): boolean {
		return this.side !== null || this.corner !== null || this.spot !== null;
	}
	/** the edit that the call is, naming what is pressed by id */
	get edit(): Edit {
		const { store } = this;
		const side = this.side === null ? null : store.cornerId(this.side);
		return {
			op: 'call',
			text: this.text,
			side,
			along: this.#along && this.#along.side === side ? this.#along.mm : null,
			corner: this.corner === null ? null : store.cornerId(this.corner),
			zone: null,
			recess: this.recess,
			at: this.spot,
			beam: this.#lies('beam'),
			pad: this.#lies('pad'),
			inside: session.ways?.forms?.pads === 'inside'
		} as Edit;
	}
	pressSide(side: number, at: XY, ring: readonly XY[]) {
		const a: XY = ring[side] ?? [0, 0];
		const b: XY = ring[(side + 1) % ring.length] ?? a;
		const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
		const mm = ((at[0] - a[0]) * (b[0] - a[0]) + (at[1] - a[1]) * (b[1] - a[1])) / long;
		this.pick.chooseSide(side);
		this.#along = { side: this.store.cornerId(side), mm: Math.min(Math.max(snapped(mm, this.#step), 0), long) };
		this.#again(null);
	}
	pressCorner(corner: number) {
		this.pick.chooseCorner(corner);
		this.#again(null);
	}
	/** exactly: as it is, not on the grid of the hand */
	pressSpot(at: XY, exactly = false) {
		this.pick.none();
		this.data.unpick();
		this.#again(exactly ? at : [snapped(at[0], this.#step), snapped(at[1], this.#step)]);
	}
	get #step(): number {
		return Math.max(snapStep(this.store.units, this.view?.scale ?? 0.05, false), this.store.units === 'mm' ? 10 : 25.4);
	}
	#again(spot: XY | null) {
		this.spot = spot;
		this.wanted += 1;
		if (this.text.trim()) this.tryNow();
	}
	/** A mark pressed in the rack stands in the call, in place of the one that stood there. */
	arm(mark: string, marks: readonly string[]) {
		const rest = this.text
			.split(' ')
			.filter((word) => word && !marks.includes(word.toUpperCase()))
			.join(' ');
		this.type(rest ? `${rest} ${mark}` : mark);
		this.wanted += 1;
	}
	type(text: string) {
		this.text = text;
		this.refused = false;
		if (text.trim()) this.tryNow();
		else this.store.dropDraft();
	}
	tryNow() {
		void this.store.try([this.edit], 'call');
	}
	async keep(): Promise<boolean> {
		if (!this.text.trim()) return false;
		const said = this.text;
		this.refused = !(await this.store.keep([this.edit], 'call'));
		if (!this.refused && this.text === said) this.letGo(); /* what was typed meanwhile stays */
		return !this.refused;
	}
	/** Nothing is called any more; what is pressed stays pressed. */
	letGo() {
		this.text = '';
		this.refused = false;
		this.store.clearProblem();
		this.store.dropDraft();
	}
	clear() {
		this.letGo();
		this.spot = null;
	}
	/** A pad let go over the sheet is set there and tried. */
	dropAt(mark: string, client: XY): boolean {
		const frame = document.querySelector('.sheet > svg')?.getBoundingClientRect();
		if (!frame || !this.view || client[0] < frame.left || client[0] > frame.right) return false;
		if (client[1] < frame.top || client[1] > frame.bottom) return false;
		this.text = mark;
		this.pressSpot(this.view.mm(client[0] - frame.left, client[1] - frame.top));
		return true;
	}
}
