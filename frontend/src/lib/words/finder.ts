/** Words of the finder. */
export const finderWords = {
	name: 'Find anything',
	open: 'Find',
	hint: 'A tab, side, part, doubt, paper, record, slab or rule',
	goes: 'Enter goes there, Esc gives the bench back',
	kinds: {
		tab: 'tab',
		side: 'side',
		part: 'part',
		finding: 'doubt',
		paper: 'paper',
		record: 'record',
		job: 'slab',
		rule: 'rule'
	},
	nothing: (asked: string, near: string) => `Nothing called ${asked}.${near ? ` ${near} is near.` : ''}`,
	more: (count: number) => `${count} more. Say more of its name.`,
	ruleBook: 'Rule book',
	yard: 'Yard',
	part: (letter: string) => `letter ${letter} in the ledger`,
	papers: [
		{ name: 'Set-out sheet, PDF', lens: 'lines', tab: 'setout' },
		{ name: 'Corners as points, CSV', lens: 'lines', tab: 'setout' },
		{ name: 'Drawing, DXF', lens: 'lines', tab: 'setout' },
		{ name: 'Cut plan of the boards', lens: 'lines', tab: 'boards' },
		{ name: 'Setting sheet, PDF', lens: 'embeds', tab: 'setting' },
		{ name: 'Call-in card', lens: 'order', tab: '' }
	],
	records: {
		taped: { name: 'What was taped', lens: 'lines', tab: 'square' },
		'string-gaps': { name: 'String gaps', lens: 'lines', tab: 'straight' },
		'form-levels': { name: 'Form tops', lens: 'lines', tab: 'straight' },
		'form-back': { name: 'A form stands again', lens: 'lines', tab: 'forms' },
		'set-up': { name: 'Laser set up', lens: 'ground', tab: 'laser' },
		'bench-shot': { name: 'Benchmark shot', lens: 'ground', tab: 'laser' },
		'turning-point': { name: 'Turning point', lens: 'ground', tab: 'laser' },
		shots: { name: 'Shots', lens: 'ground', tab: 'shots' },
		'as-dug': { name: 'Trench as dug', lens: 'ground', tab: 'dug' },
		'peg-shot': { name: 'Rod at a grade peg', lens: 'edges', tab: 'footings' },
		'steel-check': { name: 'Steel looked at', lens: 'steel', tab: 'look' },
		'pad-set': { name: 'Pad struck', lens: 'screed', tab: 'pads' },
		'order-called': { name: 'Called the plant', lens: 'order', tab: 'call' },
		weather: { name: 'Weather brought in', lens: 'gate', tab: 'day' },
		footprint: { name: 'Print of a heel', lens: 'gate', tab: 'day' },
		'set-lesson': { name: 'How it set', lens: 'gate', tab: 'day' },
		'embed-set': { name: 'Bolt or strap set', lens: 'embeds', tab: 'setting' },
		photo: { name: 'Photo', lens: 'steel', tab: 'look' },
		'riser-check': { name: 'Riser taped', lens: 'underslab', tab: 'check' },
		'ground-test': { name: 'Test of the ground', lens: 'ground', tab: 'tests' },
		'soft-spot': { name: 'Soft spot', lens: 'ground', tab: 'tests' },
		'lift-signed': { name: 'Lift signed', lens: 'ground', tab: 'tests' }
	} as Record<string, { name: string; lens: string; tab: string }>
} as const;
