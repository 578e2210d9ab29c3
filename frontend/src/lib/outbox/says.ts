/** What waits, in words: the act and what was typed for it. */
import { w } from '../words/words';
import type { Row } from './rows';

const IDS = new Set([
	'op',
	'side',
	'corner',
	'beam',
	'pad',
	'row',
	'zone',
	'edge',
	'id',
	'setup',
	'layer',
	'source',
	'at',
	'x_mm',
	'y_mm',
	'moves',
	'square',
	'photo',
	'of'
]);
function typed(value: unknown): string[] {
	if (typeof value === 'string') return value.trim() ? [value.trim()] : [];
	if (typeof value === 'number') return [`${+value.toFixed(3)}`];
	if (Array.isArray(value)) return value.flatMap(typed);
	if (typeof value === 'object' && value !== null)
		return Object.entries(value).flatMap(([key, one]) => (IDS.has(key) ? [] : typed(one)));
	return [];
}
const short = (words: string[]) => {
	const text = words.join(', ');
	return text.length > 60 ? `${text.slice(0, 58)}…` : text;
};

export function saysOf(row: Row): string {
	const { said } = row;
	if (said.kind === 'record')
		return [w.outbox.record[said.record.kind] ?? said.record.kind, short(typed(said.record.values))].filter(Boolean).join(': ');
	return said.edits
		.map((edit) => {
			const act = edit.op.replaceAll('_', ' ');
			return [`${act[0]?.toUpperCase()}${act.slice(1)}`, short(typed(edit))].filter(Boolean).join(': ');
		})
		.join('; ');
}
/** What a step takes back or brings again: a record before an edit. */
export const stepOf = (record: { kind: string; shown: readonly string[] } | null, edit: string): string =>
	record ? [w.outbox.record[record.kind] ?? record.kind, short([...record.shown])].filter(Boolean).join(': ') : edit;
/** All of it, to paste elsewhere. */
export const copyOf = (row: Row): string =>
	`${row.name} · ${saysOf(row)}\n${row.words}\n${row.made_at} ${row.author}\n${JSON.stringify(row.said, null, 1)}\n`;
