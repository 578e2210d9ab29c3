/** From a cut's millimetres (s along it, level up) to pixels: one scale both ways, long plain stretches broken out. */
import type { Section } from '../../api/schema';

/** In a section longer than the first, a plain stretch longer than the second is broken out, and this much of it stays. */
const WHOLE_MM = 4000;
const LONG_MM = 600;
const KEPT_MM = 260;

export interface Break {
	x: number;
	top: number;
	bottom: number;
}

/** Tube nearer than that is not drawn twice. */
const TUBE_APART_PX = 9;

/** Where along a section things change: stretches between, and how long each is drawn. */
export function stretchesOf(marks: readonly number[]): { from: number; to: number; drawn: number }[] {
	const sorted = [...new Set(marks)].sort((a, b) => a - b);
	const whole = (sorted[sorted.length - 1] ?? 0) - (sorted[0] ?? 0) <= WHOLE_MM;
	return sorted.slice(1).map((to, i) => {
		const from = sorted[i] ?? 0;
		return { from, to, drawn: !whole && to - from > LONG_MM ? KEPT_MM : to - from };
	});
}

/** Footings, walls and pipes that the line crosses. */
export const builtBelow = (section: Section) =>
	section.blocks.filter((block) => ['footing', 'wall', 'pipe'].includes(block.kind));

export const lyingWithin = (kind: string) => ['tube', 'bar', 'bolt', 'plate'].includes(kind);
/** what is round, cut across */
export const roundIn = (kind: string) => ['pipe', 'tube', 'bar'].includes(kind);
/** Blocks as they are drawn: tube and bars of a mark thinned to every so many px, each named once. */
export function drawnBlocks(section: Section, x: (s: number) => number) {
	const last: Record<string, number> = {};
	return section.blocks.flatMap((block) => {
		if (!lyingWithin(block.kind)) return [block];
		const key = `${block.kind}/${block.name}`;
		const at = x((block.s0_mm + block.s1_mm) / 2);
		if (at - (last[key] ?? -Infinity) < TUBE_APART_PX) return [];
		const name = key in last ? '' : block.name;
		last[key] = at;
		return [{ ...block, name }];
	});
}

export class SectionView {
	private constructor(
		readonly scale: number,
		readonly left: number,
		readonly top: number,
		readonly z1: number,
		private readonly stretches: { from: number; to: number; drawn: number }[],
		private readonly section: Section,
		/** how far outside a face its depth is drawn, px */
		readonly away: number
	) {}

	/** Fits concrete, layers and the ground outside; the frost line too where that keeps the concrete readable. */
	static fit(section: Section, width: number, height: number): SectionView {
		const spots = [...section.rings.flat(), ...section.layers.flatMap((layer) => layer.rings.flat())];
		const marks = [
			...section.rings.flat().map((p) => p[0] ?? 0),
			...section.blocks.filter((block) => !lyingWithin(block.kind)).flatMap((block) => [block.s0_mm, block.s1_mm])
		];
		const stretches = stretchesOf(marks);
		const long = stretches.reduce((sum, one) => sum + one.drawn, 0);
		const z = spots.map((p) => p[1] ?? 0);
		const grounds = section.ends.flatMap((end) => (end.ground_mm === null ? [] : [end.ground_mm]));
		const z1 = Math.max(...z, ...grounds, ...section.blocks.map((block) => block.top_mm));
		const concrete = Math.min(...z, ...builtBelow(section).map((block) => block.bottom_mm));
		const frost = Math.min(concrete, ...section.ends.flatMap((end) => (end.frost_mm === null ? [] : [end.frost_mm])));
		const narrow = width < 480;
		const outside = section.ends.some((end) => end.outward < 0);
		const both = section.ends.length > 1;
		const room = { w: Math.max(140, width - (narrow ? 156 : both ? 250 : 210)), h: height - 92 };
		const wide = room.w / Math.max(1, long);
		const full = Math.min(wide, room.h / Math.max(1, z1 - frost));
		const own = Math.min(wide, room.h / Math.max(1, z1 - concrete));
		const scale = full > own * 0.42 ? full : own;
		const used = long * scale;
		const middle = (width - used) / 2;
		const least = both || !outside ? (narrow ? 78 : 110) : narrow ? 106 : 140;
		const left =
			section.ends.length && !outside && !both
				? Math.max(30, middle - 50)
				: Math.max(least, both || !outside ? middle : middle - 10);
		return new SectionView(scale, left, 44, z1, stretches, section, narrow ? 66 : 82);
	}
	x(s: number): number {
		const first = this.stretches[0];
		if (!first || s <= first.from) return this.left + (s - (first?.from ?? 0)) * this.scale;
		let drawn = 0;
		for (const one of this.stretches) {
			if (s <= one.to) return this.left + (drawn + ((s - one.from) / (one.to - one.from)) * one.drawn) * this.scale;
			drawn += one.drawn;
		}
		return this.left + (drawn + s - (this.stretches[this.stretches.length - 1]?.to ?? 0)) * this.scale;
	}
	y(z: number): number {
		return this.top + (this.z1 - z) * this.scale;
	}
	path(ring: readonly (readonly number[])[]): string {
		return `M${ring.map(([s, z]) => `${this.x(s ?? 0).toFixed(1)} ${this.y(z ?? 0).toFixed(1)}`).join('L')}Z`;
	}
	/** Where the line stops inside concrete, and where a plain stretch is broken out. */
	get breaks(): Break[] {
		const found: Break[] = [];
		const spots = this.section.rings.flat();
		for (const first of [true, false]) {
			if (this.section.ends.some((end) => (first ? end.outward < 0 : end.outward > 0))) continue;
			const s = (first ? Math.min : Math.max)(...spots.map((p) => p[0] ?? 0));
			const z = spots.filter((p) => Math.abs((p[0] ?? 0) - s) < 0.5).map((p) => p[1] ?? 0);
			if (z.length) found.push({ x: this.x(s), top: this.y(Math.max(...z)), bottom: this.y(Math.min(...z)) });
		}
		for (const one of this.stretches.filter((row) => row.drawn < row.to - row.from)) {
			const near = spots
				.filter((p) => Math.abs((p[0] ?? 0) - one.from) < 0.5 || Math.abs((p[0] ?? 0) - one.to) < 0.5)
				.map((p) => p[1] ?? 0);
			const slab = this.section.sizes.find((size) => size.kind === 'slab' && size.s0_mm > one.from && size.s0_mm < one.to);
			const [high, low] = slab
				? [Math.max(slab.z0_mm, slab.z1_mm), Math.min(slab.z0_mm, slab.z1_mm)]
				: [Math.max(...near), Math.max(...near) - 100];
			found.push({ x: this.x((one.from + one.to) / 2), top: this.y(high), bottom: this.y(low) });
		}
		return found;
	}
	/** Height of the drawing that is used, px. */
	get low(): number {
		const spots = [...this.section.rings.flat(), ...this.section.layers.flatMap((layer) => layer.rings.flat())];
		return this.y(
			Math.min(
				...spots.map((p) => p[1] ?? 0),
				...builtBelow(this.section).map((block) => block.bottom_mm),
				...this.section.ends.flatMap((end) => (end.frost_mm === null ? [] : [end.frost_mm]))
			)
		);
	}
	get broken(): boolean {
		return this.stretches.some((one) => one.drawn < one.to - one.from);
	}
	get names(): { x: number; y: number; text: string }[] {
		return this.section.zones.map(([s, , text]) => ({
			x: this.x(s),
			y: this.y(this.z1) - (this.section.slopes.length ? 24 : 12),
			text
		}));
	}
}
