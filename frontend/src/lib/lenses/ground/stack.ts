/** A layer while it is being typed. */
import type { Layer } from '../../api/schema';

export type Kind = Layer['kind'];
export interface LayerRow {
	/** '' for a layer that is new */
	id: string;
	kind: Kind;
	thickness: string;
	strength: string;
	stone: string;
}
/** A typed thickness roughly in mm, for the drawing alone; the program reads it when it is kept. */
export function readRough(text: string, units: 'ft-in' | 'mm'): number {
	const parts = text
		.replace(/["″]|mm|in/g, '')
		.trim()
		.split(/\s+/);
	const value = parts.reduce((sum, part) => {
		const [over, under] = part.split('/');
		return sum + (under ? Number(over) / Number(under) : Number(part));
	}, 0);
	if (!Number.isFinite(value)) return 0;
	return units === 'mm' || /mm/.test(text) ? value : value * 25.4;
}
/** Kinds that have a thickness of their own; a slab's stands with its type, and a barrier and native soil have none. */
export const THICK: readonly Kind[] = ['finish', 'screed', 'foam', 'blinding', 'stone', 'graded', 'fill'];
export const STONES: readonly Kind[] = ['stone', 'graded', 'blinding', 'fill'];

/** Layers to keep: what a kind has no field for is left out, also where another kind filled it before. */
export function toKeep(rows: LayerRow[]) {
	return rows.map((row) => ({
		id: row.id,
		kind: row.kind,
		thickness_mm: THICK.includes(row.kind) ? row.thickness.trim() || null : null,
		strength_kpa: row.kind === 'foam' ? row.strength.trim() || null : null,
		stone: STONES.includes(row.kind) ? row.stone || null : null
	}));
}

const ORDER: readonly Kind[] = ['finish', 'screed', 'slab', 'barrier', 'foam', 'blinding', 'stone', 'graded', 'fill', 'native'];
/** Where a layer lies as a rule: over the slab or under it, before the first that lies deeper. */
export function usualPlace(kinds: readonly Kind[], kind: Kind): number {
	const slab = kinds.indexOf('slab');
	const over = ORDER.indexOf(kind) < ORDER.indexOf('slab');
	const at = kinds.findIndex((one, i) => (over ? i <= slab : i > slab) && ORDER.indexOf(one) > ORDER.indexOf(kind));
	return at < 0 ? kinds.length - 1 : at;
}
