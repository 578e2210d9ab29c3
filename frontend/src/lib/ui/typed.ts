/** A stored length as it would be typed: exact sixteenths, else decimals. */
export function typedLength(mm: number, units: 'ft-in' | 'mm'): string {
	if (units === 'mm') return `${+mm.toFixed(1)}`;
	const all = Math.round((mm / 25.4) * 16);
	if (Math.abs(all / 16 - mm / 25.4) > 1e-6) return `${+(mm / 25.4).toFixed(4)}"`;
	const feet = all >= 72 * 16 ? Math.floor(all / 192) : 0;
	const left = all - feet * 192;
	let [over, under] = [left % 16, 16];
	while (over && over % 2 === 0) [over, under] = [over / 2, under / 2];
	const whole = Math.floor(left / 16);
	if (feet && !left) return `${feet}'`;
	return `${feet ? `${feet}' ` : ''}${[whole || !over ? `${whole}` : '', over ? `${over}/${under}` : ''].filter(Boolean).join(' ')}"`;
}

/** The same with real primes, to read; it can be typed back as it stands. */
export const shownLength = (mm: number, units: 'ft-in' | 'mm'): string => typedLength(mm, units).replace(/"/g, '″').replace(/'/g, '′');
