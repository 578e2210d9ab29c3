/** Findings where they belong: the program says the stage and the tabs of each. */
import type { Finding } from '../api/schema';

/** Those that stand on a tab. */
export const onTab = (findings: Finding[] | undefined, tab: string): Finding[] =>
	(findings ?? []).filter((one) => one.tabs.includes(tab));
/** Those that a person who orders must see: what may change the order, and every stop. The last load says itself. */
export const forOrder = (findings: Finding[] | undefined): Finding[] =>
	(findings ?? []).filter(
		(one) => one.code !== 'last-load-short' && (one.severity === 'stop' || (one.changes_order && one.severity !== 'note'))
	);
/** One of each kind, with how many more there are like it. */
export function alike(findings: Finding[]): { first: Finding; more: number }[] {
	const rows = new Map<string, { first: Finding; more: number }>();
	for (const one of findings) {
		const row = rows.get(one.code);
		if (row) row.more += 1;
		else rows.set(one.code, { first: one, more: 0 });
	}
	return [...rows.values()];
}
