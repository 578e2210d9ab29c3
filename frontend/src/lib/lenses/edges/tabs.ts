/** The tabs of the Edges bench: one question each. */
import { w } from '../../words/words';

export const TABS = ['cut', 'grid', 'top', 'meets', 'frost', 'sum'] as const;
export type Tab = (typeof TABS)[number];
export const isTab = (text: string | null): text is Tab => TABS.some((tab) => tab === text);
export const questionOf = (tab: Tab): string => w.edges.tabs[tab].ask;
