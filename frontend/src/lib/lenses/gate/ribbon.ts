/** A set as a ribbon: it waves while it is wet and pulls taut as it sets; teeth are the hours in which it may be sawn. Pixels. */

const WAVE_PX = 46;
const STEP_PX = 3;

/** The middle of the ribbon at x: waves of `high` px that die out towards `taut`. */
export function middle(x: number, from: number, taut: number, high: number): number {
	if (x <= from || x >= taut || taut <= from) return 0;
	const left = (taut - x) / (taut - from);
	return -high * left ** 0.8 * Math.sin(((x - from) / WAVE_PX) * 2 * Math.PI);
}
/** Its outline from where it is filled to where it ends. thick: of the ribbon. */
export function ribbon(from: number, taut: number, to: number, y: number, high: number, thick: number): string {
	const upper: string[] = [];
	const lower: string[] = [];
	const turn = Math.max(from, Math.min(taut, to));
	for (let x = from; x < turn; x += STEP_PX) {
		const at = y + middle(x, from, taut, high);
		upper.push(`${x.toFixed(1)} ${(at - thick / 2).toFixed(1)}`);
		lower.unshift(`${x.toFixed(1)} ${(at + thick / 2).toFixed(1)}`);
	}
	const end = (sign: number) => [turn, to].map((x) => `${x.toFixed(1)} ${(y + (sign * thick) / 2).toFixed(1)}`);
	return `M${[...upper, ...end(-1), ...end(1).reverse(), ...lower].join('L')}Z`;
}
/** Saw teeth under a line from one x to another. */
export function teeth(from: number, to: number, y: number, size: number): string {
	if (to - from < 1) return '';
	const count = Math.max(1, Math.floor((to - from) / size));
	const step = (to - from) / count;
	let path = `M${from.toFixed(1)} ${y}`;
	for (let at = 0; at < count; at++) {
		const x = from + at * step;
		path += `L${(x + step * 0.18).toFixed(1)} ${y + size}L${(x + step).toFixed(1)} ${y}`;
	}
	return `${path}Z`;
}
/** Texts along a line that would stand on one another: each moves right until it has room; what finds none within reach is left out. */
export function spread(rows: readonly { x: number; width: number }[], gap: number, to: number): (number | null)[] {
	let last = -Infinity;
	return rows.map(({ x, width }) => {
		const left = Math.max(x - width / 2, last + gap);
		if (left + width > to) return null;
		last = left + width;
		return left;
	});
}
