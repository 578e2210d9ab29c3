/** A layer while it is being typed. */
import type { Layer } from '../../api/schema';

export type Kind = Layer['kind'];
export interface LayerRow {
	kind: Kind;
	thickness: string;
	strength: string;
	stone: string;
}
/** A typed thickness roughly in mm, for the drawing alone; the program reads it when it is kept. */
export function readRough(text: string, units: 'ft-in' | 'mm'): number {
	const parts = text.replace(/["″]|mm|in/g, '').trim().split(/\s+/);
	const value = parts.reduce((sum, part) => {
		const [over, under] = part.split('/');
		return sum + (under ? Number(over) / Number(under) : Number(part));
	}, 0);
	if (!Number.isFinite(value)) return 0;
	return units === 'mm' || /mm/.test(text) ? value : value * 25.4;
}
