/** Keys of an open job. Single letters are off inside boxes and can be turned off. */
import type { Pick } from '../drawing/pick.svelte';
import type { JobStore } from '../state/job.svelte';
import { session } from '../state/session.svelte';
import { workingSlip } from '../state/working_slip.svelte';
import type { LensId } from './lens';

interface Place {
	store: JobStore;
	pick: Pick;
	lens: LensId;
	go: (lens: LensId) => void;
	help: () => void;
	units: () => void;
}
const LENSES: LensId[] = ['lines', 'ground', 'edges', 'order'];
const NUMBERS: Record<string, LensId> = { '1': 'lines', '2': 'ground', '3': 'edges', '8': 'order' };

export function inBox(event: KeyboardEvent): boolean {
	const target = event.target;
	return target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));
}

export function jobKeys(event: KeyboardEvent, place: Place): void {
	if (inBox(event)) return;
	const { store, pick } = place;
	const key = event.key.toLowerCase();
	if ((event.ctrlKey || event.metaKey) && key === 'z') {
		event.preventDefault();
		void (event.shiftKey ? store.redo() : store.undo());
		return;
	}
	if (event.ctrlKey || event.metaKey || event.altKey || !session.letters) return;
	const step = (by: number) => {
		const next = LENSES[LENSES.indexOf(place.lens) + by];
		if (next) place.go(next);
	};
	const sides = store.figure?.outline?.sides.length ?? 0;
	const acts: Record<string, () => void> = {
		'[': () => step(-1),
		']': () => step(1),
		'/': () => document.getElementById(place.lens === 'edges' ? 'cut-call' : 'call-out')?.focus(),
		',': () => pick.step(-1, sides),
		'.': () => pick.step(1, sides),
		z: () => void (event.shiftKey ? store.redo() : store.undo()),
		u: place.units,
		d: () => session.toggleDim(),
		'?': place.help,
		escape: () => {
			if (workingSlip.open) workingSlip.close();
			else store.dropDraft();
		}
	};
	const lens = NUMBERS[key];
	if (lens) place.go(lens);
	else if (acts[key]) {
		event.preventDefault();
		acts[key]();
	}
}
