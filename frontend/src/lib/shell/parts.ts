/** Parts of the shell that are seldom open: fetched when they are wanted, or when the first screen stands. */
export const finderPanel = () => import('../finder/FinderPanel.svelte');
export const keysSheet = () => import('./Keys.svelte');
export const pointsIn = () => import('../lenses/lines/PointsIn.svelte');
export const boards = () => import('../lenses/lines/BoardsPanel.svelte');
export const workings = () => import('./WorkingSlip.svelte');
/** All of them, so that they are here without a network. */
export const partsAhead = () => void Promise.allSettled([finderPanel(), keysSheet(), workings(), pointsIn(), boards()]);
