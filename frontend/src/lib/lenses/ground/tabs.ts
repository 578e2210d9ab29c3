/** The tabs of the Ground bench: one question each. */
import { w } from '../../words/words';

export const TABS = ['shots', 'rod', 'laser', 'stack', 'falls', 'stone', 'dug', 'tests'] as const;
export type Tab = (typeof TABS)[number];
export const isTab = (text: string | null): text is Tab => TABS.some((tab) => tab === text);
export const questionOf = (tab: Tab): string => w.ground.tabs[tab].ask;
