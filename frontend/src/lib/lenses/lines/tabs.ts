/** The tabs of the Lines bench: one question each, in the order of the work. */
import { w } from '../../words/words';

export const TABS = ['walk', 'around', 'setout', 'square', 'straight', 'forms', 'boards'] as const;
export type Tab = (typeof TABS)[number];
export const isTab = (text: string | null): text is Tab => TABS.some((tab) => tab === text);
export const questionOf = (tab: Tab): string => w.lines.tabs[tab].ask;
