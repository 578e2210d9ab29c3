/** Up and down in a table: from a field or a button to the one in the same place of the next row, over rows that have none. */
const PRESSED = 'input, button, a[href], select';

export function nextInColumn(
	rows: readonly (readonly unknown[])[],
	row: number,
	at: number,
	step: 1 | -1
): [number, number] | null {
	for (let next = row + step; next >= 0 && next < rows.length; next += step) {
		const length = rows[next]?.length ?? 0;
		if (length) return [next, Math.min(at, length - 1)];
	}
	return null;
}

export function rowsByKey(table: HTMLTableElement) {
	const go = (event: KeyboardEvent) => {
		if ((event.key !== 'ArrowDown' && event.key !== 'ArrowUp') || event.altKey || event.ctrlKey || event.metaKey) return;
		const here = event.target as HTMLElement;
		if (here.tagName === 'SELECT' || here.getAttribute('aria-haspopup')) return; // they have a use for these keys
		const rows = [...table.tBodies].flatMap((body) => [...body.rows]);
		const inside = rows.map((row) => [...row.querySelectorAll<HTMLElement>(PRESSED)].filter((one) => one.offsetParent));
		const row = inside.findIndex((all) => all.includes(here));
		const to = row < 0 ? null : nextInColumn(inside, row, inside[row]?.indexOf(here) ?? 0, event.key === 'ArrowDown' ? 1 : -1);
		if (!to) return;
		event.preventDefault();
		event.stopPropagation();
		inside[to[0]]?.[to[1]]?.focus();
	};
	table.addEventListener('keydown', go);
	return () => table.removeEventListener('keydown', go);
}
