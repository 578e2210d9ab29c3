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

/** A volume as a contractor says it: cubic yards, or cubic metres. */
export const YD3 = 0.764554857984;
export const shownVolume = (m3: number, units: 'ft-in' | 'mm', places = 1): string =>
	units === 'mm' ? `${m3.toFixed(places)} m³` : `${(m3 / YD3).toFixed(places)} yd³`;

/** The keyboard for a plain length: figures alone where they are millimetres; feet and inches need marks and a space. */
export const shownArea = (m2: number, units: 'ft-in' | 'mm'): string =>
	units === 'mm' ? `${m2.toFixed(1)} m²` : `${Math.round(m2 / 0.09290304).toLocaleString('en')} sq ft`;
export const lengthKeys = (units: 'ft-in' | 'mm') =>
	({ inputmode: units === 'mm' ? 'decimal' : 'text', autocomplete: 'off', autocapitalize: 'off' }) as const;
/** The keyboard for a number without a unit of length. */
export const numberKeys = { inputmode: 'decimal', autocomplete: 'off' } as const;
