/** Loads as they are said: up to three one by one, more of them by how many of each, in their order ("10 of 9", "5 1/2"). */
export interface LoadRun {
	load: string;
	n: number;
}
export function loadRuns(loads: readonly string[]): LoadRun[] {
	if (loads.length <= 3) return loads.map((load) => ({ load, n: 1 }));
	const runs: LoadRun[] = [];
	for (const load of loads) {
		const last = runs.at(-1);
		if (last?.load === load) last.n += 1;
		else runs.push({ load, n: 1 });
	}
	return runs;
}
export const foldedLoads = (loads: readonly string[]): string[] =>
	loadRuns(loads).map(({ load, n }) => (n === 1 ? load : `${n} of ${load}`));
