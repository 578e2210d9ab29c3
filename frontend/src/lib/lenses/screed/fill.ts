/** How much of a strip is struck: the part of its ring behind a front that goes along the pull. */
export type XY = readonly [number, number];

/** The ring cut off at a share of its length along the way, from its start. The ring must be whole across the way at every place. */
export function filled(ring: readonly XY[], way: XY, share: number): [number, number][] {
	const along = ring.map(([x, y]) => x * way[0] + y * way[1]);
	const [low, high] = [Math.min(...along), Math.max(...along)];
	const front = low + (high - low) * Math.max(0, Math.min(1, share));
	const rows: [number, number][] = [];
	ring.forEach((a, i) => {
		const j = (i + 1) % ring.length;
		const [b, s, t] = [ring[j] as XY, along[i] as number, along[j] as number];
		if (s <= front) rows.push([a[0], a[1]]);
		if (s <= front !== t <= front) {
			const k = (front - s) / (t - s);
			rows.push([a[0] + (b[0] - a[0]) * k, a[1] + (b[1] - a[1]) * k]);
		}
	});
	return rows;
}
