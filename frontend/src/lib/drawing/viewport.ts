/** Plan millimetres to screen pixels and back. +y is up on the plan, down on the screen. */
export type XY = [number, number];
export interface Box {
	x0: number;
	y0: number;
	x1: number;
	y1: number;
}

export function boundsOf(points: readonly (readonly number[])[]): Box {
	const xs = points.map((p) => p[0] ?? 0);
	const ys = points.map((p) => p[1] ?? 0);
	return { x0: Math.min(...xs), y0: Math.min(...ys), x1: Math.max(...xs), y1: Math.max(...ys) };
}

export class Viewport {
	constructor(
		readonly scale: number,
		readonly dx: number,
		readonly dy: number
	) {}
	/** Fits a box into width x height px with margins. */
	static fit(box: Box, width: number, height: number, margin: { x: number; top: number; bottom: number }): Viewport {
		const w = Math.max(box.x1 - box.x0, 1);
		const h = Math.max(box.y1 - box.y0, 1);
		const room = { w: Math.max(width - 2 * margin.x, 40), h: Math.max(height - margin.top - margin.bottom, 40) };
		const scale = Math.min(room.w / w, room.h / h);
		const left = margin.x + (room.w - w * scale) / 2;
		const top = margin.top + (room.h - h * scale) / 2;
		return new Viewport(scale, left - box.x0 * scale, top + box.y1 * scale);
	}
	/** The same, lower where that costs little of the scale: `clear` px stay free above. */
	static below(
		box: Box,
		width: number,
		height: number,
		margin: { x: number; top: number; bottom: number },
		clear: number
	): Viewport {
		const [high, low] = [margin, { ...margin, top: margin.top + clear }].map((one) => Viewport.fit(box, width, height, one));
		return high && low && low.scale < 0.92 * high.scale ? high : (low ?? Viewport.fit(box, width, height, margin));
	}
	/** Nearer by a factor, then moved by px: what `Zoom` says. */
	nearer({ by, x, y }: { by: number; x: number; y: number }): Viewport {
		return new Viewport(this.scale * by, this.dx * by + x, this.dy * by + y);
	}
	px([x, y]: readonly [number, number] | readonly number[]): XY {
		return [this.dx + (x ?? 0) * this.scale, this.dy - (y ?? 0) * this.scale];
	}
	mm(px: number, py: number): XY {
		return [(px - this.dx) / this.scale, (this.dy - py) / this.scale];
	}
	path(rings: readonly (readonly (readonly number[])[])[], close = true): string {
		return rings
			.map(
				(ring) =>
					ring
						.map(
							(p, i) =>
								`${i ? 'L' : 'M'}${this.px(p)
									.map((v) => v.toFixed(2))
									.join(' ')}`
						)
						.join('') + (close ? 'Z' : '')
			)
			.join('');
	}
}

/** What stays free round a plan on a sheet: for sizes and letters, the title above, the scale bar below. */
export function marginOf(width: number, height: number, sizes: boolean, foot: number) {
	if (height < 260 && !sizes) return { x: 30, top: 34, bottom: 14 };
	return sizes
		? { x: Math.min(78, width * 0.17), top: width < 480 ? 88 : 66, bottom: 74 + foot }
		: { x: Math.min(58, width * 0.14), top: 74, bottom: 50 + foot };
}
