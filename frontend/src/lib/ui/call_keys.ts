/** What the keys under a call box write: feet, inches, directions and the words of a call, where the number pad has none. */
export const ROWS = [
	["'", '"', '/', ' ', ',', '&', 'back'],
	['n', 'e', 's', 'w', 'from', 'by', 'abc']
] as const;
export type CallKey = (typeof ROWS)[number][number];

/** The text after a key at a caret, and where the caret stands then. Words and directions keep a space before and after. */
export function pressed(text: string, from: number, to: number, key: CallKey): { text: string; caret: number } {
	const [before, after] = [text.slice(0, from), text.slice(to)];
	if (key === 'abc') return { text, caret: to };
	if (key === 'back') {
		const left = from === to ? before.slice(0, -1) : before;
		return { text: left + after, caret: left.length };
	}
	const word = /[a-z&]/.test(key);
	const put = word ? `${before && !before.endsWith(' ') ? ' ' : ''}${key} ` : key;
	return { text: before + put + after.replace(word ? /^ / : /^$/, ''), caret: before.length + put.length };
}
