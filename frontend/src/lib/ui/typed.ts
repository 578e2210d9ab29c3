/** A stored length as it would be typed: sixteenths reduced, short decimals, else the millimetres that it is. */
export function typedLength(mm: number, units: 'ft-in' | 'mm'): string {
	if (units === 'mm') return `${+mm.toFixed(1)}`;
	const sign = mm < 0 ? '-' : '';
	const inches = Math.abs(mm) / 25.4;
	const all = Math.round(inches * 16);
	if (Math.abs(all / 16 - inches) > 1e-6) {
		const short = Math.abs(+inches.toFixed(2) - inches) < 1e-6;
		return short ? `${sign}${+inches.toFixed(2)}"` : `${sign}${+Math.abs(mm).toFixed(2)} mm`;
	}
	const feet = all >= 72 * 16 ? Math.floor(all / 192) : 0;
	const left = all - feet * 192;
	let [over, under] = [left % 16, 16];
	while (over && over % 2 === 0) [over, under] = [over / 2, under / 2];
	const whole = Math.floor(left / 16);
	if (feet && !left) return `${sign}${feet}'`;
	return `${sign}${feet ? `${feet}' ` : ''}${[whole || !over ? `${whole}` : '', over ? `${over}/${under}` : ''].filter(Boolean).join(' ')}"`;
}

/** The same with real primes, to read; it can be typed back as it stands. */
export const shownLength = (mm: number, units: 'ft-in' | 'mm'): string =>
	typedLength(mm, units).replace(/"/g, '″').replace(/'/g, '′');

/** A way's length in both systems: 1/4″ (6.35 mm), 75 mm. */
export function bothLengths(mm: number): string {
	const text = shownLength(mm, 'ft-in');
	return text.endsWith('mm') ? text : `${text} (${+mm.toFixed(2)} mm)`;
}
