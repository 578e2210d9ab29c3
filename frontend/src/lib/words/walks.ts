/** Words of what is poured along the outline: laps, saw cuts, sidewalks, ramps. */
/** What the call box says on the tabs of what lies along the slab and stands under it. */
const called = (what: string, mm: string, feet: string) => ({
	none: 'Press a side. Then call it.',
	side: (name: string) => `${name} is pressed. Call ${what}.`,
	corner: (name: string) => `Corner ${name} is pressed. Press a side.`,
	zone: (name: string) => `${name} is pressed. Press a side.`,
	spot: 'Press a side. Then call it.',
	hint: (metric: boolean) => (metric ? mm : feet)
});
export const CALLED = {
	walks: called('a lap, a walk or a ramp', 'ramp 1000 down 100 by 150', "ramp 3' 4 down 4 by 6"),
	footings: called('its footing', 'footing 400 by 200 600 below', 'footing 16 by 8 24 below'),
	walls: called('the wall on its footing', 'wall 190 block top 0', 'wall 7 5/8 block top 0')
};

export const kerbs = {
	starters: 'starters apart',
	starterCount: (n: number) => `${n} starters, 3 in from the ends of each stretch and even between; they follow it.`
} as const;

export const walks = {
	none: 'Nothing beside it.',
	noneUnder: 'A lap over old concrete, a missed saw cut, a sidewalk, a ramp to a door.',
	all: (text: string) => `${text} beside the slab.`,
	split: (withSlab: string, apart: string) => `${withSlab} comes with the slab, ${apart} is poured apart.`,
	kinds: { lap: 'Lap over old concrete', 'saw-cut': 'Saw cut to the true line', sidewalk: 'Sidewalk', ramp: 'Ramp' },
	which: 'What lies beside',
	what: 'what',
	side: 'along',
	walked: 'a walk',
	callWalk: 'walked, with it on the right',
	allRound: 'all round',
	start: 'from its start',
	startHint: '0',
	long: 'long',
	whole: 'all of it',
	doorWide: 'wide',
	name: 'name',
	wide: 'wide',
	over: 'over by',
	atStart: 'at its start',
	atEnd: 'at its end',
	thick: 'thick',
	top: 'top at',
	high: 'upper edge at',
	low: 'foot at',
	run: 'runs out',
	runHint: '1 in 12',
	foot: 'thick at the foot',
	flare: 'flares out',
	kerb: 'kerbs high',
	kerbWide: 'kerbs wide',
	fall: 'falls away',
	broom: 'broom',
	brooms: { across: 'across', along: 'along' },
	gap: 'gap below it',
	gaps: { kept: 'stays open', filled: 'is filled' },
	noneOf: 'none',
	more: 'One more',
	add: 'Lay it',
	cut: (name: string) => `Cut across ${name}`,
	forms: (long: string) => `${long} of form`,
	withSlab: 'with the slab',
	apart: 'poured apart',
	caution: 'Ramps people use: local code and the official decide slope, landings and rails.'
} as const;

export const WALK_EXAMPLES = {
	'ft-in': { walk: "4'", thick: '4', door: "5'", low: '4 below', ramp: '6', foot: '2', over: '8' },
	mm: { walk: '1200', thick: '100', door: '1500', low: '100 below', ramp: '150', foot: '50', over: '200' }
} as const;
