/** Tabs of the ground and the edges: the string and the finder name them before their stage is fetched. */
export const groundTabs = {
	shots: { name: 'Shots', ask: 'How deep, and is it flat?', sheet: 'Rod shots' },
	rod: { name: 'Rod card', ask: 'What does the rod read?', sheet: 'Where to hold the rod' },
	laser: { name: 'Laser', ask: 'Where does the laser stand?', sheet: 'Benchmarks and laser' },
	stack: { name: 'Build-up', ask: 'What lies under the floor?', sheet: 'Build-ups' },
	falls: { name: 'Falls', ask: 'Which way does the water run?', sheet: 'Falls' },
	stone: { name: 'Stone', ask: 'How much in, how much out?', sheet: 'Base and grade pegs' },
	dug: { name: 'As dug', ask: 'What did the bucket really dig?', sheet: 'Trenches' },
	tests: { name: 'Tests', ask: 'Is it firm?', sheet: 'Probe, density, soft spots' }
} as const;
export const edgeTabs = {
	cut: { name: 'Cut', ask: 'What is under the wall?', sheet: 'What is thicker than the slab' },
	grid: { name: 'Beams and pads', ask: 'Where does it go deeper?', sheet: 'Beams and pads' },
	top: { name: 'Zones and recesses', ask: 'Where does the top change?', sheet: 'The top, with its levels' },
	meets: { name: 'Beside', ask: 'What does it meet?', sheet: 'What stands beside and on top' },
	walks: { name: 'Walks', ask: 'What is poured along it?', sheet: 'Laps, sidewalks and ramps' },
	footings: { name: 'Footings', ask: 'What stands under it?', sheet: 'Footings and their grade pegs' },
	walls: { name: 'Walls', ask: 'What stands on the footing?', sheet: 'Walls on their footings' },
	frost: { name: 'Frost', ask: 'Will frost lift it?', sheet: 'Foam lying flat, were it shallow' },
	sum: { name: 'Ledger', ask: 'Where are the yards?', sheet: 'Every part by its letter' }
} as const;
