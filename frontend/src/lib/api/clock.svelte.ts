/** What time it is, by the program's own clock: a phone that is wrong by an hour writes down the right one. */
const KEY = 'clock-off';
/** what differs by less is the road of the answer */
const EVEN_MS = 90_000;

function restored(): number {
	try {
		return Number(localStorage.getItem(KEY)) || 0;
	} catch {
		return 0;
	}
}
class Clock {
	/** by so much the program's clock is ahead of this device's; 0 where they agree */
	off_ms = $state(restored());
	/** An answer says when it was given. */
	heard(date: string | null, now = Date.now()): void {
		const at = date ? Date.parse(date) : NaN;
		if (!Number.isFinite(at)) return;
		const off = Math.abs(at - now) < EVEN_MS ? 0 : Math.round((at - now) / 1000) * 1000;
		if (Math.abs(off - this.off_ms) < 5000 && off !== 0) return;
		this.off_ms = off;
		try {
			if (off) localStorage.setItem(KEY, `${off}`);
			else localStorage.removeItem(KEY);
		} catch {
			/* then it is heard again with the next answer */
		}
	}
	now(): Date {
		return new Date(Date.now() + this.off_ms);
	}
	/** minutes by which this device is ahead; less than nothing behind */
	get ahead_min(): number {
		return Math.round(-this.off_ms / 60_000);
	}
}
export const clock = new Clock();
