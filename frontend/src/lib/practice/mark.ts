/** What an answer comes to, looked up in what the program worked out beforehand: it holds without a signal. */
import type { Exercise } from '../api/schema';

export type Answer = Record<string, string>;
export type Grade = 'right' | 'near' | 'off';
export type Shape = Exercise['drawing'][number];
export interface Marked {
	lost: number;
	grade: Grade;
	verdict: string;
	words: string[];
	shapes: Shape[];
	off: number | null;
}

/** The answer that stands before anybody said anything: steps where they begin, marks not pressed. */
export const begun = (exercise: Exercise): Answer =>
	Object.fromEntries(
		exercise.asks.flatMap((ask) => {
			const first = ask.kind === 'press' ? 'no' : ask.kind === 'one' ? '' : (ask.start ?? '') || (ask.options[0]?.key ?? '');
			return first ? [[ask.id, first]] : [];
		})
	);

/** The label of the first ask that nobody answered, '' where all are. */
export const unsaid = (exercise: Exercise, answer: Answer): string =>
	exercise.asks.find((ask) => !ask.options.some((option) => option.key === answer[ask.id]))?.label ?? '';

export function mark(exercise: Exercise, answer: Answer): Marked {
	const found = exercise.parts.flatMap((part) => {
		const one = part.table[part.asks.map((ask) => answer[ask]).join('|')];
		return one ? [one] : [];
	});
	const lost = found.reduce((sum, one) => sum + one.lost, 0);
	return {
		lost,
		grade: lost === 0 ? 'right' : lost <= exercise.near ? 'near' : 'off',
		verdict: exercise.said[lost] ?? exercise.many.replace('{n}', String(lost)),
		words: found.map((one) => one.words ?? '').filter(Boolean),
		shapes: found.flatMap((one) => one.shapes ?? []),
		off: found.map((one) => one.off_n ?? null).find((off) => off !== null) ?? null
	};
}

const plain = (text: string) =>
	text
		.toLowerCase()
		.replace(/[′']/g, "'")
		.replace(/[″"]|in\b|mm\b|yd\b|m³/g, '')
		.replace(/\s*-\s*/g, ' ')
		.replace(/\s+/g, ' ')
		.trim();
const number = (text: string): number | null => {
	const match = /^(?:(-?\d+(?:\.\d+)?)\s*)?(?:(\d+)\/(\d+))?$/.exec(text);
	if (!match || (match[1] === undefined && match[2] === undefined)) return null;
	return Number(match[1] ?? 0) + (match[2] ? Number(match[2]) / Number(match[3]) : 0);
};
/** The option that a typed text means: as it is written, or the same number. Null where there is none. */
export function typedOption(options: Exercise['asks'][number]['options'], typed: string): string | null {
	const said = plain(typed);
	if (!said) return null;
	const same = options.find((option) => plain(option.text) === said);
	if (same) return same.key;
	const value = number(said);
	return value === null ? null : (options.find((option) => number(plain(option.text)) === value)?.key ?? null);
}
