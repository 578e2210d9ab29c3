/** The working slip: one open at a time, with a trail back. */
import { tick } from 'svelte';
import type { Working } from '../api/schema';

class WorkingSlip {
	trail = $state.raw<Working[]>([]);
	get open(): Working | null {
		return this.trail.at(-1) ?? null;
	}
	/** its part is fetched when a working is first asked for */
	asked = $state(false);
	#before: HTMLElement | null = null;
	/** byKey: the focus goes into the slip, and back to where it was */
	show(working: Working, byKey = false) {
		this.#before = byKey && document.activeElement instanceof HTMLElement ? document.activeElement : null;
		this.trail = this.open?.name === working.name ? [] : [working];
		this.asked = true;
		if (this.open) void tick().then(() => this.take());
	}
	/** The slip is here: the focus goes in if a key opened it. */
	take() {
		if (this.#before) document.querySelector<HTMLElement>('.working-slip')?.focus();
	}
	into(working: Working) {
		this.trail = [...this.trail, working];
	}
	back() {
		this.trail = this.trail.slice(0, -1);
	}
	close() {
		this.trail = [];
		this.#before?.focus();
		this.#before = null;
	}
}
export const workingSlip = new WorkingSlip();
