/** Splits a text at its fractions, so that they can be built: "24′-6 1/2″" → ["24′-6", {1, 2}, "″"]. */
export interface Built {
	over: string;
	under: string;
}
export type Bit = string | Built;

export function built(text: string): Bit[] {
	const bits: Bit[] = [];
	let at = 0;
	for (const match of text.matchAll(/(?:(?<=\d)\s)?(?<![\d.])(\d{1,2})\/(\d{1,2})(?!\d)/g)) {
		if (match.index > at) bits.push(text.slice(at, match.index));
		bits.push({ over: match[1] ?? '', under: match[2] ?? '' });
		at = match.index + match[0].length;
	}
	if (at < text.length) bits.push(text.slice(at));
	return bits;
}
