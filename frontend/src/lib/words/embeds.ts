/** Words of what sticks up. */
const COUNT = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'];
const some = (n: number, name: string) => `${COUNT[n] ?? n} ${name}${n === 1 ? '' : 's'}`;
const plain = (n: number, name: string) => `${n} ${name}${n === 1 ? '' : 's'}`;

export const embeds = {
	tabsName: 'Embeds',
	needOutline: 'No outline yet, so nothing to stand on it.',
	sheets: {
		walls: 'Walls that will stand on it',
		bolts: 'Walls and what sticks up',
		straps: 'Straps, brackets, groups',
		setting: 'What is set, what is not'
	},
	none: 'No walls on this slab.',
	noneUnder: 'Take one from a side, or from every side; or say that it comes whole.',
	walls: (n: number) => `${some(n, 'wall')}.`,
	wrong: (n: number) => (n === 1 ? 'One thing to look at.' : `${n} things to look at.`),
	allRound: 'A wall along every side',
	out: 'Take it out',
	side: 'Side',
	wallCall: (side: string) => `Wall along ${side}, call it`,
	wallInside: 'A wall inside',
	walkCall: (name: string) => `${name}, call it`,
	walkHint: { 'ft-in': "from 12' e of A; 10' n; studs at 16", mm: 'from 3600 e of A; 3000 n; studs at 400' },
	wallHint: {
		'ft-in': "studs at 16 from 0, door 3' 2 at 10', bolts at 4'",
		mm: 'studs at 400 from 0, door 965 at 3000, bolts at 1200'
	},
	asCrew: 'Take it as the crew does',
	heard: 'Heard',
	comes: { framed: 'framed on a plate', whole: 'comes whole', posts: 'on posts' } as Record<string, string>,
	whole: 'A building that comes whole brings its own holes: set no bolts, drill when it stands.',
	counts: (counts: Record<string, number>) => {
		const names: [string, string][] = [
			['bolt', 'bolt'],
			['strap', 'strap'],
			['hold-down', 'hold-down'],
			['bracket', 'bracket'],
			['threshold', 'threshold'],
			['leave-out', 'leave-out'],
			['group bolt', 'template bolt']
		];
		return names
			.filter(([key]) => counts[key])
			.map(([key, name]) => plain(counts[key] ?? 0, name))
			.join(', ');
	},
	spare: (n: number, minutes: number) => `${plain(n, 'spare')} along. About ${Math.round(minutes)} minutes to set the bolts.`,
	outside: (name: string) => `${name}, from outside, looking in`,
	hook: (letter: string) => `Hook the tape at ${letter}`,
	hooked: (letter: string) => `tape hooked at ${letter}`,
	bolt: (n: number) => `Bolt ${n}`,
	callBolt: (n: number, corner: string) => `Bolt ${n}, call it from ${corner}`,
	boltHint: (text: string, corner: string) => `${text}, or from ${corner} …`,
	rules: { ends: 'off the ends of its plate', studs: 'clear of studs and bars', spacing: 'from its neighbours' },
	here: (from: string, to: string) => (from === to ? `It may stand at ${from}.` : `It may stand from ${from} to ${to}.`),
	nowhere: 'No place takes it by all three rules.',
	putAt: (text: string) => `Put it at ${text}`,
	addBolt: 'Another bolt here',
	outBolt: 'Take this one out',
	byRule: 'Back to the rules',
	byHand: (n: number) => `${plain(n, 'bolt')} of this wall by hand.`,
	keepAgainst: 'Keep it there, because',
	keepIt: 'Keep it',
	up: (text: string) => `${text} up`,
	inside: (text: string) => `${text} in`,
	off: (text: string) => `${text} off the board`,
	plateJoint: 'plate joint',
	strapsNone: 'No straps, brackets or groups.',
	straps: (n: number) => `${plain(n, 'thing')} besides the bolts.`,
	what: {
		bolt: 'bolt',
		strap: 'Strap',
		'hold-down': 'Hold-down',
		bracket: 'Bracket',
		threshold: 'Threshold',
		'leave-out': 'Leave-out',
		group: 'Group'
	} as Record<string, string>,
	crewRule: 'by the crew’s rule',
	strapCall: (side: string) => `On ${side}, call it`,
	strapHint: {
		'ft-in': "hold-down at 3', bracket every 8', leave-out at 6', 16 wide",
		mm: 'hold-down at 900, bracket every 2400, leave-out at 1800, 400 wide'
	},
	groups: 'Bolts of a template',
	groupPress: 'Press the plan where the column stands, or take the middle of a pad.',
	groupAt: 'It stands at',
	groupPad: (name: string) => `middle of ${name}`,
	groupCall: 'The group, call it',
	groupHint: { 'ft-in': '4 3/4 bolts at 8 by 8, 12 deep, 3 up', mm: '4 20 mm bolts at 200 by 200, 300 deep, 75 up' },
	template: 'Template 1:1, PDF',
	school: 'How bolts are set',
	schools: { wet: 'Wet-set', tied: 'Tied before', drilled: 'Drilled later' } as Record<string, string>,
	inWays: 'Change it in Ways',
	settingNone: 'Nothing to set.',
	left: (left: number, all: number) => (left ? `${left} of ${all} to set.` : 'All set.'),
	cannotCount: (n: number) => `${n} could not be set.`,
	setGo: (now: string, next: string) => `${now} is set, go to ${next.toLowerCase()}`,
	setLast: (now: string) => `${now} is set`,
	cannot: 'Cannot set it',
	reasons: ['A bar is in the way', 'It is too stiff', 'None left on the truck'],
	otherReason: 'Something else',
	list: 'List',
	back: 'Back to the mark',
	then: 'Then',
	inStrip: (n: number, at: string) => `strip ${n}, struck ${at}`,
	moved: (was: string) => `It moved. Yours was ${was}: mark the board again.`,
	tapeFrom: (wall: string, corner: string) => `${wall}, tape from ${corner}`,
	paper: 'Setting sheet',
	later: 'The latest time for each comes with the set clock.',
	state: { open: 'to set', set: 'set', cannot: 'not set' } as Record<string, string>,
	strays: 'Set where nothing stands now',
	waysTitle: 'What sticks up',
	waysKeys: {
		bolt_mm: 'Bolt, across',
		embed_mm: 'Bolt in the concrete',
		most_mm: 'Bolts apart, at most',
		end_min_mm: 'From a plate’s end, at least',
		end_max_mm: 'From a plate’s end, at most',
		end_like_mm: 'From a plate’s end, as liked',
		clear_mm: 'Clear of a stud’s middle',
		between_mm: 'Between two bolts, at least',
		plate_mm: 'Plate, wide',
		plate_thick_mm: 'Plate, thick',
		stock_mm: 'Plates come in',
		stud_mm: 'Studs apart',
		washer_mm: 'Washer',
		nut_mm: 'Nut',
		past_mm: 'Thread past the nut',
		strap_in_mm: 'Straps from the corner',
		post_mm: 'Posts apart, at most',
		straps: 'Straps at an outside corner',
		wet_min: 'Minutes a bolt, wet-set',
		tied_min: 'Minutes a bolt, tied before',
		drilled_min: 'Minutes a bolt, drilled later',
		spare: 'Spare bolts, share'
	},
	caution:
		'Bolts, hold-downs and straps are for the drawing, the local code, the engineer and the official. ' +
		'This tool places, counts and marks; it does not design.'
};
