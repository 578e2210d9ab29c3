/** How everything that is pressed looks (app.css): one size for a glove, seen under a finger. */
export type ActKind = 'plain' | 'main' | 'quiet';
/** The classes of a button of a kind, with more of its own. */
export const act = (kind: ActKind = 'plain', on = false, more: string | null | undefined = ''): string =>
	['act', kind, on && 'on', more].filter(Boolean).join(' ');
