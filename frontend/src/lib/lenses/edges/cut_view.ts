/** From a cut's millimetres (s along it, level up) to pixels: one scale both ways. */
import type { Cut } from '../../api/schema';

export interface Named {
	x: number;
	y: number;
	anchor: 'start' | 'middle' | 'end';
	text: string;
}

export class CutView {
	constructor(
		readonly scale: number,
		readonly left: number,
		readonly top: number,
		readonly s0: number,
		readonly z1: number,
		private readonly cut: Cut,
		/** how far outside a face its depth is drawn, px */
		readonly away = 82
	) {}

	/** Fits concrete, layers and the ground outside; the frost line too where that keeps the concrete readable. */
	static fit(cut: Cut, width: number, height: number): CutView {
		const spots = [...cut.rings.flat(), ...cut.layers.flatMap((layer) => layer.rings.flat())];
		const s = spots.map((p) => p[0] ?? 0);
		const z = spots.map((p) => p[1] ?? 0);
		const [s0, s1] = [Math.min(...s), Math.max(...s)];
		const grounds = cut.ends.flatMap((end) => (end.ground_mm === null ? [] : [end.ground_mm]));
		const z1 = Math.max(...z, ...grounds, ...cut.blocks.map((block) => block.top_mm));
		const concrete = Math.min(...z);
		const frost = Math.min(concrete, ...cut.ends.flatMap((end) => (end.frost_mm === null ? [] : [end.frost_mm])));
		const room = { w: Math.max(140, width - (width < 480 ? 156 : 210)), h: height - 92 };
		const wide = room.w / Math.max(1, s1 - s0);
		const full = Math.min(wide, room.h / Math.max(1, z1 - frost));
		const own = Math.min(wide, room.h / Math.max(1, z1 - concrete));
		const scale = full > own * 0.42 ? full : own;
		const outside = cut.ends.some((end) => end.outward < 0);
		const both = cut.ends.length > 1;
		const used = (s1 - s0) * scale;
		const left = both || !outside ? Math.max(width < 480 ? 78 : 96, (width - used) / 2) : Math.max(width < 480 ? 106 : 140, (width - used) / 2 - 10);
		return new CutView(scale, cut.ends.length && !outside && !both ? Math.max(30, (width - used) / 2 - 50) : left, 44, s0, z1, cut, width < 480 ? 66 : 82);
	}
	x(s: number): number {
		return this.left + (s - this.s0) * this.scale;
	}
	y(z: number): number {
		return this.top + (this.z1 - z) * this.scale;
	}
	path(ring: readonly (readonly number[])[]): string {
		return `M${ring.map(([s, z]) => `${this.x(s ?? 0).toFixed(1)} ${this.y(z ?? 0).toFixed(1)}`).join('L')}Z`;
	}
	/** Where the line stops inside concrete: drawn broken. */
	get breaks(): { x: number; top: number; bottom: number }[] {
		const found = [];
		for (const first of [true, false]) {
			if (this.cut.ends.some((end) => (first ? end.outward < 0 : end.outward > 0))) continue;
			const spots = this.cut.rings.flat();
			const s = (first ? Math.min : Math.max)(...spots.map((p) => p[0] ?? 0));
			const z = spots.filter((p) => Math.abs((p[0] ?? 0) - s) < 0.5).map((p) => p[1] ?? 0);
			if (z.length) found.push({ x: this.x(s), top: this.y(Math.max(...z)), bottom: this.y(Math.min(...z)) });
		}
		return found;
	}
	get names(): Named[] {
		return this.cut.zones.map(([s, z, text]) => ({ x: this.x(s), y: this.y(this.z1) - (this.cut.slopes.length ? 24 : 12) + 0 * z, anchor: 'middle' as const, text }));
	}
}
