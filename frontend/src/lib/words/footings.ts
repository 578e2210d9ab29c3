/** Words of the footings. */
const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const MONTHS = [
	'January',
	'February',
	'March',
	'April',
	'May',
	'June',
	'July',
	'August',
	'September',
	'October',
	'November',
	'December'
];

export const footings = {
	order: (text: string, unit: string, both: boolean) => `Order ${text} ${unit} for the footings${both ? ' and walls' : ''}.`,
	under: (net: string, loads: readonly string[], when: string) =>
		`${net} as planned, the rest by reason. ${loads.length === 1 ? 'One truck' : `Trucks: ${loads.join(', ')}`}. ${when}`,
	none: 'No footing.',
	noneUnder: 'A footing is a pour of its own, before the slab.',
	noDay: 'No day said yet.',
	dig: (dug: string, back: string, unit: string) =>
		`Dig ${dug} ${unit} below the sod, as it lies; ${back} ${unit} goes back beside it.`,
	noDig: 'What is dug is not known: say under Build-up how high the ground was.',
	on: (said: string) => {
		const at = new Date(said);
		return Number.isNaN(at.getTime())
			? said
			: `${DAYS[at.getDay()]} ${at.getDate()} ${MONTHS[at.getMonth()]}, ${at.getHours()}:${String(at.getMinutes()).padStart(2, '0')}.`;
	},
	guess: (label: string) => `${label}, a guess`,
	name: 'name',
	wide: 'wide',
	thick: 'thick',
	top: 'top at',
	dug: 'dug wide',
	notSaid: 'not said',
	steps: 'steps',
	stepsHint: { 'ft-in': "at 12' up 8", mm: 'at 3600 up 200' },
	apart: 'pegs apart',
	pourAt: 'Day and hour of the footing pour',
	strength: 'mix, of its own',
	/** strength that was said for the pour that holds these, as it would be typed */
	own: (
		pours: readonly { holds: string[]; mix?: { strength_mpa?: number | null } | null }[] | undefined,
		holds: string,
		units: string
	) => {
		const mpa = pours?.find((pour) => pour.holds.includes(holds))?.mix?.strength_mpa;
		return !mpa ? '' : units === 'mm' ? `${mpa} MPa` : `${Math.round(mpa / 0.006894757 / 10) * 10} psi`;
	},
	soft: 'Soft spot',
	softAt: 'at peg',
	softWide: 'how wide',
	softDeep: 'how deep',
	softDone: 'what was done',
	softKeep: 'Note it',
	softNoted: (peg: number) => `Noted at peg ${peg}.`,
	noPeg: (n: number) => `There are pegs 1 to ${n}.`,
	more: 'New footing',
	walk: 'walked along its middle',
	inset: 'middle, in from the edge',
	add: 'Lay it',
	alone: 'A footing by itself',
	pegs: (n: number) => `${n} grade pegs`,
	pegsName: 'Grade pegs',
	peg: 'Peg',
	onTop: 'Rod on its top',
	bottomShould: 'Bottom should read',
	bottomRead: 'Bottom reads',
	cut: 'Cut it to',
	mark: 'mark',
	nail: 'nail',
	markLevel: 'its level',
	markReads: 'rod on it reads',
	setUp: 'Set up',
	setUpName: 'Set-up 1',
	keep: 'Keep',
	pegsHow:
		'A peg stands with a foot in the ground; its top is the concrete. Read the rod on the bottom beside it: the yards and the cut follow.'
} as const;
