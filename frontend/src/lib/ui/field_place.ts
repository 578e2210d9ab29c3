/** A name for a field that is the same after a reload: the page, what it is called there, and which of that name it is. */
const taken = new Set<string>();

export function placeOf(called: string): { key: string; leave: () => void } {
	const page = globalThis.location ? `${location.pathname}${location.search}` : '';
	let nth = 0;
	while (taken.has(`${page}/${called}/${nth}`)) nth += 1;
	const key = `${page}/${called}/${nth}`;
	taken.add(key);
	return { key: `field/${key}`, leave: () => void taken.delete(key) };
}
