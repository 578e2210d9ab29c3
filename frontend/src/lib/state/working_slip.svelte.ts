/** The working slip: one open at a time, with a trail back. */
import type { Working } from '../api/schema';

class WorkingSlip {
	trail = $state.raw<Working[]>([]);
	get open(): Working | null {
		return this.trail.at(-1) ?? null;
	}
	show(working: Working) {
		this.trail = this.open?.name === working.name ? [] : [working];
	}
	into(working: Working) {
		this.trail = [...this.trail, working];
	}
	back() {
		this.trail = this.trail.slice(0, -1);
	}
	close() {
		this.trail = [];
	}
}
export const workingSlip = new WorkingSlip();
