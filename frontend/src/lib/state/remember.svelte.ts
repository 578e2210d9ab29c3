/**
 * What is typed on a panel and not kept yet stays while the panel is out of sight: across tabs and lenses, and over a
 * reload. One line in a component, after its own state: `remember('ground/mark', () => mark, (old) => (mark = old))`.
 */
const PREFIX = 'typed:';

export function restored<T>(key: string): T | null {
	try {
		const text = sessionStorage.getItem(PREFIX + key);
		return text === null ? null : (JSON.parse(text) as T);
	} catch {
		return null;
	}
}

/** Nothing but empty texts is nothing to remember. */
export function empty(value: unknown): boolean {
	if (typeof value === 'string') return !value.trim();
	if (Array.isArray(value)) return value.every(empty);
	if (typeof value === 'object' && value !== null) return Object.values(value).every(empty);
	return value === null || value === undefined || value === false;
}

export function note(key: string, value: unknown): void {
	try {
		if (empty(value)) sessionStorage.removeItem(PREFIX + key);
		else sessionStorage.setItem(PREFIX + key, JSON.stringify(value));
	} catch {
		/* a private window may refuse; then it lasts as long as the panel is in sight */
	}
}

/** While a component lives: bring back what was typed under `key`, then note every change. */
export function remember<T>(key: string, read: () => T, write: (old: T) => unknown): void {
	const old = restored<T>(key);
	if (old !== null) write(old);
	$effect(() => note(key, read()));
}
