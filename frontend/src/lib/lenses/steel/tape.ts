/** A short length as it is read off a tape, mm: '27', "2' 3", '31 1/2', '680 mm'. null where it cannot be drawn; the program
 * reads it anew. */
export function taped(text: string, units: 'ft-in' | 'mm'): number | null {
	const clean = text.trim().replace(/[″"]/g, '').replace(/′/g, "'");
	const metric = /^([\d.]+)\s*(mm|cm|m)?$/.exec(clean);
	if (metric && (units === 'mm' || metric[2])) return Number(metric[1]) * { mm: 1, cm: 10, m: 1000 }[metric[2] ?? 'mm']!;
	const inches = /^(?:(\d+)'\s*-?\s*)?(?:(\d+(?:\.\d+)?))?(?:[\s-]*(\d+)[/⁄](\d+))?(?:\s*in)?$/.exec(clean);
	if (!clean || !inches) return null;
	const [, feet = '0', whole = '0', over = '0', under = '1'] = inches;
	return (Number(feet) * 12 + Number(whole) + Number(over) / Number(under)) * 25.4;
}
