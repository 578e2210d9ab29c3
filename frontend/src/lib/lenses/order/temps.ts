/** Temperatures as a crew types them: Fahrenheit where it measures in feet, kept in Celsius. */
export type Units = 'ft-in' | 'mm';

export const shownDegrees = (celsius: number, units: Units): string =>
	units === 'mm' ? `${+celsius.toFixed(1)}` : `${Math.round(celsius * 1.8 + 32)}`;
/** What was typed as Celsius; null for nothing, the text itself where it is no number, so that the program says so. */
export function typedDegrees(text: string, units: Units): number | string | null {
	const clean = text
		.trim()
		.replace(/°?\s*[CFcf]?$/, '')
		.replace(',', '.');
	if (!clean) return null;
	const value = Number(clean);
	if (!Number.isFinite(value)) return text;
	const own = /f$/i.test(text.trim()) ? 'ft-in' : /c$/i.test(text.trim()) ? 'mm' : units;
	return own === 'mm' ? value : +((value - 32) / 1.8).toFixed(4);
}
