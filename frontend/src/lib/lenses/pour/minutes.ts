/** Times and sizes of the pour as a hand steps through them. */
const two = (n: number) => `${n}`.padStart(2, '0');

/** A time as it stands on the wall, with its offset, so that it reads the same to everybody. */
export function wall(at: Date): string {
	const off = -at.getTimezoneOffset();
	const sign = off < 0 ? '-' : '+';
	const zone = `${sign}${two(Math.floor(Math.abs(off) / 60))}:${two(Math.abs(off) % 60)}`;
	const day = `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
	return `${day}T${two(at.getHours())}:${two(at.getMinutes())}:${two(at.getSeconds())}${zone}`;
}
/** So many minutes later, in the offset that it was written in. */
export function later(iso: string, minutes: number): string {
	const zone = /(Z|[+-]\d\d:\d\d)$/.exec(iso)?.[0] ?? '';
	const bare = iso.slice(0, iso.length - zone.length);
	const at = new Date(`${bare}Z`);
	at.setTime(at.getTime() + minutes * 60_000);
	return at.toISOString().slice(0, bare.length > 16 ? 19 : 16) + zone;
}
/** A second after the word before where it would stand at the same moment or earlier, so that each word has its place. */
export function afterWord(at: string, before: string): string {
	if (!before || Date.parse(at) > Date.parse(before)) return at;
	return later(before.replace(/T(\d\d:\d\d)(?!:)/, 'T$1:00'), 1 / 60);
}
/** '7:04' of a time as it is written. */
export const clockOf = (iso: string): string => `${Number(iso.slice(11, 13))}:${iso.slice(14, 16)}`;
/** Whether it is the day of the pour here. */
export const sameDay = (now: Date, start: string): boolean => wall(now).slice(0, 10) === start.slice(0, 10);
/** Keys and kinds of acts that words which wait here answer. */
export function saidHere(waiting: readonly { kind: string; values: Record<string, unknown> }[]): Set<string> {
	return new Set(
		waiting.flatMap(({ kind, values }) => {
			if (kind === 'act_done') return [`${values['act']}`];
			if (kind === 'front' && values['strip']) return [`strike/${values['strip']}`];
			if (kind === 'front' && values['edges']) return ['edges/fill'];
			return kind === 'load_called' && values['answer'] === 'held' ? ['say'] : [];
		})
	);
}
/** Sizes that a ticket may say, about what was ordered: one step less, as ordered, one more. */
export const sizes = (m3: number, step: number): number[] => [m3 - step, m3, m3 + step].filter((one) => one > 0);
/** A size as crews type it: '8 1/2 yd', '6.5 m³'. */
export function typedSize(m3: number, units: 'ft-in' | 'mm'): string {
	if (units === 'mm') return `${Math.round(m3 * 100) / 100}`;
	const quarters = Math.round((m3 / 0.764554857984) * 4);
	const [whole, part] = [Math.floor(quarters / 4), quarters % 4];
	const said = ['', '1/4', '1/2', '3/4'][part];
	return [whole || !said ? `${whole}` : '', said].filter(Boolean).join(' ');
}
