/** A layer while it is being typed. */
import type { Layer } from '../../api/schema';

export type Kind = Layer['kind'];
export interface LayerRow {
	kind: Kind;
	thickness: string;
	strength: string;
	stone: string;
}
/** A stored length as it would be typed: exact sixteenths, else decimals. */
export function typedLength(mm: number, units: 'ft-in' | 'mm'): string {
	if (units === 'mm') return `${+mm.toFixed(1)}`;
	const all = Math.round((mm / 25.4) * 16);
	if (Math.abs(all / 16 - mm / 25.4) > 1e-6) return `${+(mm / 25.4).toFixed(4)}"`;
	let [over, under] = [all % 16, 16];
	while (over && over % 2 === 0) [over, under] = [over / 2, under / 2];
	const whole = Math.floor(all / 16);
	return `${[whole || !over ? `${whole}` : '', over ? `${over}/${under}` : ''].filter(Boolean).join(' ')}"`;
}
