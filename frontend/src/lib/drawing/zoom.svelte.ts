/** How near the sheet is looked at: a factor about a point that stays, never farther than the whole sheet. */
import { follow } from './follow';
import type { XY } from './viewport';

const MOST = 16;
const NEARER: Record<string, number> = { '+': 1.4, '=': 1.4, '-': 1 / 1.4 };
const clamped = (value: number, least: number, most: number) => Math.min(Math.max(value, least), most);

export class Zoom {
	by = $state(1);
	x = $state(0);
	y = $state(0);

	constructor(readonly size: () => { width: number; height: number }) {}
	get whole(): boolean {
		return this.by === 1;
	}
	/** Nearer (more than 1) or farther, about a point of the screen. */
	about(factor: number, [px, py]: XY): void {
		const by = clamped(this.by * factor, 1, MOST);
		const real = by / this.by;
		this.by = by;
		this.move(px - (px - this.x) * real - this.x, py - (py - this.y) * real - this.y);
	}
	/** + and - about a point, 0 for the whole sheet. False for any other key. */
	key(key: string, at: XY): boolean {
		if (key === '0') this.fit();
		else if (NEARER[key]) this.about(NEARER[key], at);
		else return false;
		return true;
	}
	/** Along by px; the sheet never leaves the screen. */
	move(dx: number, dy: number): void {
		const { width, height } = this.size();
		this.x = clamped(this.x + dx, width * (1 - this.by), 0);
		this.y = clamped(this.y + dy, height * (1 - this.by), 0);
	}
	fit(): void {
		[this.by, this.x, this.y] = [1, 0, 0];
	}
}

const at = (event: { clientX: number; clientY: number }, frame: DOMRect): XY => [
	event.clientX - frame.left,
	event.clientY - frame.top
];
const HELD = '[data-corner], .cursor-move, [role="button"], [role="slider"], button, input';

/** Wheel, two fingers, and a drag of what is near: all of them move the sheet under the hand. */
export function handled(node: SVGSVGElement, zoom: Zoom): () => void {
	let pinch: { gap: number; middle: XY } | null = null;
	const frame = () => node.getBoundingClientRect();
	const wheel = (event: WheelEvent) => {
		if (zoom.whole && event.deltaY > 0) return; // the page scrolls on
		event.preventDefault();
		zoom.about(Math.exp(-event.deltaY * (event.deltaMode ? 0.05 : 0.0016)), at(event, frame()));
	};
	const fingers = (event: TouchEvent) => {
		const [one, two] = [event.touches[0], event.touches[1]];
		if (!one || !two) return null;
		const [a, b] = [at(one, frame()), at(two, frame())];
		return { gap: Math.hypot(a[0] - b[0], a[1] - b[1]) || 1, middle: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] as XY };
	};
	const touch = (event: TouchEvent) => (pinch = fingers(event));
	const pinched = (event: TouchEvent) => {
		const now = fingers(event);
		if (!now || !pinch) return;
		event.preventDefault();
		zoom.move(now.middle[0] - pinch.middle[0], now.middle[1] - pinch.middle[1]);
		zoom.about(now.gap / pinch.gap, now.middle);
		pinch = now;
	};
	const press = (event: PointerEvent) => {
		if (zoom.whole || event.button || !event.isPrimary || (event.target as Element).closest(HELD)) return;
		let [last, moved] = [at(event, frame()), false];
		const move = (now: PointerEvent) => {
			if (pinch || !now.isPrimary) return;
			const to = at(now, frame());
			if (!moved && Math.hypot(to[0] - last[0], to[1] - last[1]) < 5) return;
			moved = true;
			zoom.move(to[0] - last[0], to[1] - last[1]);
			last = to;
		};
		const end = () => {
			if (moved) node.addEventListener('click', (click) => click.stopPropagation(), { capture: true, once: true });
		};
		follow(window, move, end);
	};
	node.addEventListener('wheel', wheel, { passive: false });
	node.addEventListener('touchstart', touch, { passive: true });
	node.addEventListener('touchend', touch, { passive: true });
	node.addEventListener('touchmove', pinched, { passive: false });
	node.addEventListener('pointerdown', press);
	return () => {
		node.removeEventListener('wheel', wheel);
		node.removeEventListener('touchstart', touch);
		node.removeEventListener('touchend', touch);
		node.removeEventListener('touchmove', pinched);
		node.removeEventListener('pointerdown', press);
	};
}
