/** Words of joints. */
const COUNT = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'];
const some = (n: number, name: string) => `${COUNT[n] ?? n} ${name}${n === 1 ? '' : 's'}`;

export const joints = {
	none: 'No joints.',
	noneUnder: 'It will choose its own. Lay them by rule, then move what you like.',
	good: (panels: number) => `${some(panels, 'panel')}, none should crack by itself.`,
	wrong: (n: number) => (n === 1 ? 'It may crack in one place.' : `It may crack in ${n} places.`),
	under: (limit: string, depth: string) => `Panels ${limit} long at most. Cut ${depth} deep at least.`,
	byRule: 'By rule',
	byRuleHow: 'The same slab three ways. Press one to take it in place of the joints there are.',
	ratio: (n: number) => `${n} t`,
	card: (panels: number, saw: string) => `${panels} panels, ${saw} to cut`,
	cardBroken: (n: number) => (n === 1 ? 'one place still fails' : `${n} places still fail`),
	fails: (n: number) => (n ? `As it is, ${n} panel${n === 1 ? '' : 's'} fail by this.` : 'As it is, all pass by this.'),
	taken: 'as it is',
	call: 'A joint, call it',
	hint: { 'ft-in': "18' n of A, through H e, C to J", mm: '5500 n of A, through H e, C to J' },
	heard: 'Heard',
	how: 'How it is made',
	hows: { sawn: 'Sawn', tooled: 'Tooled', inserted: 'Inserted', construction: "Day's end" } as Record<string, string>,
	schools: { sawn: 'Sawn', tooled: 'Tooled', inserted: 'Inserted' } as Record<string, string>,
	dayEnd: 'A bulkhead stands here, with dowels or a key (Steel). Strips on either side need not meet.',
	columns: 'Columns',
	shapes: { none: 'None', diamond: 'On its point', round: 'Round' } as Record<string, string>,
	shapeOf: (name: string) => `Joint round ${name}`,
	out: 'Take it out',
	joint: (n: number) => `Joint ${n}`,
	openings: 'Openings',
	isolate: (n: number) => `Opening ${n} has a joint of its own round it`,
	saw: 'What is cut',
	cut: (saw: string) => `${saw} of joints.`,
	hours: (hours: number, blades: number) =>
		`About ${hours < 0.95 ? `${Math.max(5, Math.round((hours * 60) / 5) * 5)} minutes` : `${hours.toFixed(1)} hours`} with one saw, ` +
		`${Math.max(1, Math.round(blades * 100))} % of a blade.`,
	isolation: (text: string) => `${text} of isolation strip against what stands there and round openings.`,
	dust: 'Cut wet or with a shroud and a mask: the dust scars the lungs. Ears and eyes too.',
	after: (n: number) => `after strip ${n}`,
	order: 'Cut first what was placed first. When a scratched edge no longer ravels it is time: the weather decides.',
	waysTitle: 'Joints',
	waysKeys: {
		ratio_n: 'Panel, in thicknesses',
		aspect_ratio: 'Long over short, at most',
		depth_share: 'Cut, share of the slab',
		saw_m_h: 'Metres one saw cuts an hour',
		blade_m: 'Metres of a blade',
		cap_mm: 'Panel, never over',
		depth_min_mm: 'Cut, at least',
		sliver_mm: 'Panel, no narrower',
		column_mm: 'Joint round a column, past its face'
	},
	caution:
		'Joints over beams and thickened edges, slabs with fibre or heavy steel, and construction joints are for the drawing and the engineer.'
};
