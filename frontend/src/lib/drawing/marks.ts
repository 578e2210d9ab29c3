/** Sizes on a drawing: where they stand, their witness lines, and crow's feet (a V with its point on the mark). */
import type { XY } from './viewport';

export interface SizeLine {
	a: XY;
	b: XY;
	middle: XY;
	angle: number;
	length: number;
	feet: string;
	witness: string;
}

/** A size line beside a-b (px), `away` px to the right of travel on screen for an anticlockwise plan outline. */
export function sizeLine(a: XY, b: XY, away: number): SizeLine {
	const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
	const u: XY = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
	const n: XY = [-u[1], u[0]];
	const at = (p: XY, k: number): XY => [p[0] + n[0] * k, p[1] + n[1] * k];
	const [p, q] = [at(a, away), at(b, away)];
	const out: XY = [n[0] * Math.sign(away), n[1] * Math.sign(away)];
	let angle = (Math.atan2(u[1], u[0]) * 180) / Math.PI;
	if (angle > 90.01) angle -= 180;
	if (angle < -89.99) angle += 180;
	return {
		a: p,
		b: q,
		middle: [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2],
		angle,
		length,
		feet: crowsFoot(p, out) + crowsFoot(q, out),
		witness: [a, b].map((end) => `M${point(at(end, Math.sign(away) * 5))}L${point(at(end, away + Math.sign(away) * 5))}`).join('')
	};
}

/** A crow's foot: a V whose point stands on the size line's end and whose legs open along the witness line, u, away from the part. */
export function crowsFoot(p: XY, u: XY, size = 8, half = 4.5): string {
	const n: XY = [-u[1], u[0]];
	const end = (k: number): XY => [p[0] + u[0] * size + n[0] * k, p[1] + u[1] * size + n[1] * k];
	return `M${point(end(half))}L${point(p)}L${point(end(-half))}`;
}

const point = (p: XY) => `${p[0].toFixed(1)} ${p[1].toFixed(1)}`;

const STEPS_MM = { 'ft-in': [25.4 / 16, 6.35, 25.4, 152.4], mm: [1, 5, 10, 50] } as const;

/** The drag grid: the coarsest step that is at least 4 px wide; the finest with `fine`. */
export function snapStep(units: 'ft-in' | 'mm', pxPerMm: number, fine: boolean): number {
	const steps = STEPS_MM[units];
	if (fine) return steps[0];
	return steps.find((step) => step * pxPerMm >= 4) ?? steps[steps.length - 1] ?? 1;
}

export function snapped(value: number, step: number): number {
	return Math.round(value / step) * step;
}

/** A scale bar: 12 ft or 3 m where it fits, else a smaller one. */
export function scaleBar(units: 'ft-in' | 'mm', pxPerMm: number): { mm: number; text: string } {
	const sizes =
		units === 'ft-in'
			? [12, 6, 3, 1].map((ft) => ({ mm: ft * 304.8, text: `${ft}′` }))
			: [3, 1, 0.5].map((m) => ({ mm: m * 1000, text: `${m} m` }));
	return sizes.find((size) => size.mm * pxPerMm <= 190) ?? sizes[sizes.length - 1] ?? { mm: 1000, text: '1 m' };
}
