/** What is picked on the sheet: a side, a corner, or a line inside, by its id; and the size being typed over. */
import type { JobState } from '../api/schema';
import { cornerId, cornerPlace, rowId, rowPlace } from '../state/ids';

type Plan = JobState['document'];

export class Pick {
	#side = $state('');
	#corner = $state('');
	#row = $state('');
	typing = $state(false);
	square = $state(true);
	/** the open tab draws the picked side's sizes itself, bay by bay */
	bays = $state(false);

	constructor(readonly plan: () => Plan | null) {}

	/** where the picked side stands now */
	get side(): number | null {
		return cornerPlace(this.plan(), this.#side);
	}
	get corner(): number | null {
		return cornerPlace(this.plan(), this.#corner);
	}
	get row(): number | null {
		return rowPlace(this.plan(), 'edges', this.#row);
	}
	/** Where on the plan that is, in mm: a corner, the middle of a side; null where nothing is picked. */
	get spot(): [number, number] | null {
		const ring = this.plan()?.outline ?? [];
		const a = ring[this.corner ?? this.side ?? -1];
		const b = this.corner === null && this.side !== null ? ring[(this.side + 1) % ring.length] : a;
		return a && b ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : null;
	}
	/** Its name: a letter, or the letters of a side. */
	get says(): string {
		const count = this.plan()?.outline?.length ?? 0;
		if (this.corner !== null) return cornerName(this.corner);
		return this.side === null || !count ? '' : `${cornerName(this.side)}-${cornerName((this.side + 1) % count)}`;
	}
	#set(side: string, corner: string, row: string) {
		[this.#side, this.#corner, this.#row] = [side, corner, row];
	}
	chooseSide(side: number) {
		this.#set(cornerId(this.plan(), side), '', '');
	}
	chooseCorner(corner: number) {
		this.#set('', cornerId(this.plan(), corner), '');
	}
	chooseRow(row: number) {
		this.#set('', '', rowId(this.plan(), 'edges', row));
	}
	step(by: number, sides: number) {
		if (!sides) return;
		this.chooseSide(((((this.side ?? (by > 0 ? -1 : 0)) + by) % sides) + sides) % sides);
	}
	none() {
		this.#set('', '', '');
		this.typing = false;
	}
}

export const cornerName = (index: number): string =>
	index < 26 ? String.fromCharCode(65 + index) : cornerName(Math.floor(index / 26) - 1) + cornerName(index % 26);
