/** Keys of an open job. Single letters are off inside boxes and can be turned off. */
import { finder } from '../finder/finder.svelte';
import type { Pick } from '../drawing/pick.svelte';
import type { JobStore } from '../state/job.svelte';
import { session } from '../state/session.svelte';
import { workingSlip } from '../state/working_slip.svelte';
import { turns } from '../lenses/turn.svelte';
import { help } from './help.svelte';
import { LENSES } from '../lenses/all';
import type { LensId } from '../lenses/lens';

interface Place {
	store: JobStore;
	pick: Pick;
	lens: LensId;
	go: (lens: LensId) => void;
	units: () => void;
}

export function inBox(event: KeyboardEvent): boolean {
	const target = event.target;
	return target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));
}

/** Whether arrow keys belong to what has the focus: a row of tabs or of choices. */
export const ownsArrows = (event: KeyboardEvent): boolean =>
	event.target instanceof HTMLElement && ['tab', 'radio', 'slider'].includes(event.target.getAttribute('role') ?? '');

const CALL_BOXES = '#call-here, #call-out, #cut-call';

/** To the call box of the tab; of one that is still being turned to, when it stands there. */
export async function toCall(): Promise<void> {
	await turns.turned.catch(() => undefined);
	for (let frame = 0; frame < 30; frame++) {
		const box = document.querySelector<HTMLElement>(CALL_BOXES);
		if (box) return box.focus();
		await new Promise((resolve) => requestAnimationFrame(resolve));
	}
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
	if (event.ctrlKey || event.metaKey || event.altKey) return;
	const always: Record<string, () => void> = {
		'?': help.show,
		escape: () => {
			if (finder.open) finder.close();
			else if (workingSlip.open) workingSlip.close();
			else if (store.trying.length) store.letGo();
		}
	};
	if (always[key]) {
		event.preventDefault();
		return always[key]();
	}
	if (finder.open && !(event.target instanceof Element && event.target.closest('button, a'))) {
		event.preventDefault();
		return finder.typed(event.key); // its box is still on its way: what is typed is for it
	}
	if (!session.letters) return;
	const step = (by: number) => {
		const next = LENSES[LENSES.findIndex((one) => one.id === place.lens) + by];
		if (next) place.go(next.id);
	};
	const sides = store.figure?.outline?.sides.length ?? 0;
	const acts: Record<string, () => void> = {
		'[': () => step(-1),
		']': () => step(1),
		'/': () => finder.show(store),
		c: () => void toCall(),
		',': () => pick.step(-1, sides),
		'.': () => pick.step(1, sides),
		z: () => void (event.shiftKey ? store.redo() : store.undo()),
		u: place.units,
		d: () => session.toggleDim(),
		'{': () => turns.step(-1),
		'}': () => turns.step(1)
	};
	const lens = LENSES.find((one) => one.key === key);
	if (lens) place.go(lens.id);
	else if (acts[key]) {
		event.preventDefault();
		acts[key]();
	}
}
