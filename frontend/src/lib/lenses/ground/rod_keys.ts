/** Sixteenths of an inch on the rod's own keys: feet, inches, eighths, a nudge. */
export interface Parts {
	feet: number;
	inches: number;
	sixteenths: number;
}
export function partsOf(sixteenths: number): Parts {
	const all = Math.max(0, Math.round(sixteenths));
	return { feet: Math.floor(all / 192), inches: Math.floor((all % 192) / 16), sixteenths: all % 16 };
}
export const totalOf = (parts: Parts): number => parts.feet * 192 + parts.inches * 16 + parts.sixteenths;

/** As a crew types it: 4' 10 7/8" */
export function saidOf(parts: Parts): string {
	let [over, under] = [parts.sixteenths, 16];
	while (over && over % 2 === 0) [over, under] = [over / 2, under / 2];
	return `${parts.feet}' ${parts.inches}${over ? ` ${over}/${under}` : ''}"`;
}
