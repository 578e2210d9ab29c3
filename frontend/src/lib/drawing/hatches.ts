/** The hatch of each kind of layer, by its name in Patterns.svelte: one table for every core. */
export const HATCHES: Record<string, string> = {
	slab: 'conc',
	foam: 'zig',
	stone: 'pebbles',
	graded: 'pebbles',
	blinding: 'sand',
	fill: 'filled',
	screed: 'sand',
	finish: 'sand'
};
