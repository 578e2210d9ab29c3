/** Words of the steel in a slab. */
const plural = (n: number, name: string) => `${n.toLocaleString('en-US')} ${name}${n === 1 ? '' : 's'}`;
const COUNT = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'];
const some = (n: number, name: string) => `${COUNT[n] ?? n} ${name}${n === 1 ? '' : 's'}`;

export const steel = {
	tabsName: 'Steel',
	sheets: {
		way: 'How each slab is held together',
		mat: (every: number) => (every > 1 ? `Bars in plan, every ${NTH[every] ?? `${every}th`} drawn` : 'Bars in plan'),
		cages: 'Cages in plan, stirrups as ticks',
		dowels: 'Dowels, out of what stands there',
		chairs: 'Where chairs stand',
		lists: (mark: string) => (mark ? `Where ${mark} goes` : 'Every mark in plan')
	},
	none: 'No steel said yet.',
	noneUnder: 'Say how each slab is held together: bars, mesh, fibre, or nothing.',
	ways: {
		bars: 'Bars',
		mesh: 'Mesh sheets',
		rolls: 'Mesh rolls',
		'mesh-tied': 'Mesh, tied edge',
		fibre: 'Fibre',
		'fibre-edges': 'Fibre, bars at the edge',
		none: 'None'
	} as Record<string, string>,
	corners: { bent: 'Bent round', crossed: 'Straight, crossed' } as Record<string, string>,
	held: { chairs: 'On chairs', pulled: 'Pulled up' } as Record<string, string>,
	laps: { '40d': '40 diameters', 'class-b': 'Class B, by code' } as Record<string, string>,
	wayVerdict: (slabs: number, said: number) =>
		said === 0
			? 'No slab has its steel yet.'
			: said < slabs
				? `${some(slabs - said, 'slab')} to say.`
				: `${some(slabs, 'slab')}, all said.`,
	plain: 'Steel does not stop cracks: it keeps them tight and level.',
	slab: (mark: string, zones: string, thick: string) => `${mark}, ${zones}, ${thick}`,
	how: (mark: string) => `${mark} is held together by`,
	call: (mark: string) => `${mark}, call it like the drawing`,
	hints: {
		slab: { 'ft-in': '#4 at 16 each way, top, 1 1/2 clear', mm: '10 mm at 200 each way, top, 40 clear' },
		cage: { 'ft-in': '3 #5 bottom, 2 #5 top, #3 stirrups at 24', mm: '3 16 mm bottom, 2 16 mm top, 8 mm stirrups at 300' },
		pad: { 'ft-in': '#5 at 8 each way', mm: '16 mm at 200 each way' },
		dowels: { 'ft-in': '#4 at 18, 6 deep, 18 out', mm: '12 mm at 400, 150 deep, 450 out' }
	},
	heard: 'Heard',
	asDrawn: 'as drawn',
	pro: 'For:',
	con: 'Against:',
	least: (text: string) => `Against shrinkage, of a floor that carries: ${text}, each way.`,
	drag: (text: string) => `To drag it over its ground: ${text}.`,
	diagonals: 'Two bars across every inside corner',
	trimmers: 'A bar along each side of an opening',
	matVerdict: (marks: number, mass: string) => `${some(marks, 'mark')}, ${mass} of mat.`,
	matNone: 'No mat of bars.',
	matNoneUnder: 'Choose bars for a slab in Way.',
	meshRow: (words: string, sheets: number, rolls: boolean) => `${plural(sheets, rolls ? 'roll' : 'sheet')} of ${words}`,
	meshLeast: (n: number, lap: string) => `${n} by bare area, and no fewer cover it; they lap ${lap}.`,
	fits: (n: number) => (n ? `${some(n, 'thing')} ${n === 1 ? 'does' : 'do'} not fit.` : 'Every bar fits.'),
	fitsUnder: 'Bars and cover drawn true to size.',
	cagesNone: 'No cage yet.',
	cagesNoneUnder: 'Press an edge, beam or pad and call it like the drawing.',
	of: { edge: 'Edge', beam: 'Beam', pad: 'Pad' } as Record<string, string>,
	bare: 'No steel said',
	out: 'Take it out',
	dowelVerdict: (n: number) => (n ? `${plural(n, 'dowel')}.` : 'No dowels.'),
	dowelUnder: (ml: number, cartridges: number) =>
		ml > 0
			? `${Math.round(ml)} ml of epoxy with waste: ${plural(cartridges, 'cartridge')}.`
			: 'Press a side that something stands at, and call them.',
	hole: (hole: string, deep: string, out: string) => `Hole ${hole}, ${deep} deep; ${out} stands out.`,
	cold: 'Below 70 °F (21 °C) warm the cartridge; blow the hole, brush it, blow it again. Eyes and gloves.',
	into: (name: string) => (name ? `into ${name}` : 'into nothing'),
	side: (name: string) => `Dowels along ${name}`,
	chairVerdict: (n: number) => `${plural(n, 'chair')}.`,
	chairUnder: (apart: string) => `Rows ${apart} apart at most.`,
	pulled: 'Pulled up during the pour.',
	pulledUnder: 'Nobody sees afterwards where it stayed; the pour day will ask for it strip by strip.',
	chairRow: (slab: string, n: number, high: string) => `${slab}: ${plural(n, 'chair')}, ${high} high`,
	on: { foam: 'on foam, with plates', stone: 'on stone', ground: 'on the ground, with plates' } as Record<string, string>,
	chairsNone: 'Nothing to hold up.',
	lists: (bars: number, mass: string) => `${plural(bars, 'bar')} to buy, ${mass}.`,
	listsUnder: (mass: string, ties: string) => `${mass} goes in, the rest is left over. Tie wire ${ties}.`,
	counting: 'Working out the cuts.',
	bend: 'Bend, all to one scale',
	bendHow: 'legs out to out, cut along the middle of the bar',
	straight: 'All straight.',
	hooks: (turn: number) => `hooks ${turn}°`,
	cut: 'cut',
	cutTitle: (bars: number, bar: string) => `Cut ${plural(bars, 'bar')} of ${bar}`,
	cutLeast: (least: string) => `${least} is the least there can be`,
	keep: (text: string) => `${text}, keep it`,
	drop: (text: string) => `${text} drop`,
	sizes: 'Sizes',
	marks: 'Marks',
	goesIn: 'goes in',
	pieces: 'pieces',
	bundle: (n: number, bar: string) => `${n} of ${bar}`,
	bundles: 'Bundles, end on: a dot is a bar',
	papers: 'To take along',
	papersHow: 'Paper has the bends drawn, the cuts, and a tag for each bundle.',
	csv: 'CSV',
	xlsx: 'XLSX',
	dxf: 'DXF',
	caution: 'Sizes, laps and cover are for the engineer and the official to settle. Caps on what sticks up.',
	needOutline: 'No outline yet, so no steel.',
	waysTitle: 'Steel',
	waysKeys: {
		spacing_mm: 'Bars apart',
		earth_mm: 'Cover on earth',
		side_mm: 'Cover at forms',
		top_mm: 'Cover under the top',
		chair_mm: 'Chairs apart',
		leg_mm: 'Legs at corners',
		diagonal_mm: 'Bar across a corner',
		keep_mm: 'An offcut is kept from',
		sheet_wide_mm: 'Sheet, wide',
		sheet_long_mm: 'Sheet, long',
		mesh_lap_mm: 'Sheets lap',
		hole_over_mm: 'Hole wider than its dowel',
		dowel_out_mm: 'Dowel stands out'
	},
	waysBar: 'Usual bar',
	waysMetric: 'Usual metric bar',
	waysCorners: 'At corners of an edge',
	waysHeld: 'Held at its height',
	waysLap: 'Laps'
} as const;
const NTH: Record<number, string> = { 2: 'second', 3: 'third', 4: 'fourth', 5: 'fifth', 6: 'sixth' };
