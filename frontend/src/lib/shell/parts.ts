/** Parts of the shell that are seldom open: fetched when they are wanted, or when the first screen stands. */
export const finderPanel = () => import('../finder/FinderPanel.svelte');
export const keysSheet = () => import('./Keys.svelte');
