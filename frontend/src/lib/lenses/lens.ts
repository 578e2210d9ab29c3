/** What a lens tells of itself: the stage it is of, its number key, its tabs, and how it parts the screen. */
import { w } from '../words/words';

export type LensId =
	'lines' | 'ground' | 'edges' | 'underslab' | 'steel' | 'embeds' | 'screed' | 'order' | 'gate' | 'pour' | 'cure';
interface TabWords {
	name: string;
	ask: string;
}
export interface Lens<T extends string = string> {
	id: LensId;
	/** counts all eleven stages, from the first day */
	key: string;
	/** in the order of the work; the first is the one it opens on */
	tabs: readonly T[];
	/** the columns of sheet and bench, and how high the sheet stands on a phone */
	columns: string;
	/** of tabs whose drawing wants another share of the screen */
	splits: Partial<Record<T, string>>;
}
export const lens = <T extends string>(
	id: LensId,
	key: string,
	tabs: readonly T[],
	columns: string,
	splits: Partial<Record<NoInfer<T>, string>> = {}
): Lens<T> => ({ id, key, tabs, columns, splits });

const words = (of: LensId, tab: string): TabWords | undefined => (w[of].tabs as Record<string, TabWords>)[tab];
/** The tabs as a row to turn. */
export const rowsOf = <T extends string>(of: Lens<T>) =>
	of.tabs.map((tab) => ({ value: tab, label: words(of.id, tab)?.name ?? '' }));
/** The one question that a tab answers. */
export const questionOf = (of: Lens, tab: string): string => words(of.id, tab)?.ask ?? '';
/** How a tab parts the screen. */
export const columnsOf = (of: Lens, tab: string | null): string =>
	(of.splits as Record<string, string>)[tabOf(of, tab)] ?? of.columns;
/** The tab that is asked for, or the first. */
export const tabOf = <T extends string>(of: Lens<T>, asked: string | null): T =>
	of.tabs.find((tab) => tab === asked) ?? (of.tabs[0] as T);
