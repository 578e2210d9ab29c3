/** Words of radiant tube. */
const plural = (n: number, name: string) => `${n} ${name}${n === 1 ? '' : 's'}`;
const COUNT = ['No', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];

export const tubing = {
	none: 'No room is warmed.',
	noneUnder: 'Press one, or walk one.',
	total: (text: string, n: number) => `${text} in ${COUNT[n] ?? n}.`,
	long: (n: number, text: string) => `${text} in ${COUNT[n] ?? n}, and a loop runs long.`,
	noLoop: 'Nothing laid yet.',
	under: (area: string, cover: string) => `${area} of floor. ${cover} of concrete over the tube.`,
	zones: 'Warm',
	manifold: 'manifold',
	strings: 'Loops, to the longest that its size carries',
	most: (text: string) => `${text} at most`,
	leader: 'dashed: out of its room and back',
	lay: (n: number, room: string) => `Lay loop ${n} in ${room} like this, from the manifold`,
	legs: (n: number) => `All ${n} legs`,
	fewer: 'First legs',
	coil: (text: string, size: string) => `A ${text} coil of ${size} tube`,
	loop: (n: number, text: string) => `loop ${n}, ${text}`,
	left: (text: string) => `${text} left`,
	ties: (n: number) => `${plural(n, 'tie')}, every 2 ft`,
	tiesMm: (n: number) => `${plural(n, 'tie')}, every 600`,
	rows: {
		size_mm: 'tube',
		spacing_mm: 'apart in the field',
		walls_mm: 'along outside walls',
		wall_width_mm: 'over',
		high_mm: 'over the underside',
		keep_mm: 'from the edge',
		longest_mm: 'longest loop',
		bend_mm: 'bend, radius',
		rise_mm: 'up to the manifold'
	},
	bySize: 'by its size',
	same: 'the same',
	pattern: 'Laid as',
	patterns: { serpentine: 'Serpentine', spiral: 'Spiral' },
	schools: {
		serpentine: [
			'Easy to lay and to find again; the hot end goes along the cold wall first.',
			'One end of the room is warmer than the other.'
		],
		spiral: ['Hot and cold lie side by side, so the floor is even.', 'Harder to lay, and a turn in the middle that is tight.']
	},
	pro: 'For:',
	con: 'Against:',
	walk: 'Walk a room',
	walkHint: {
		'ft-in': "Kitchen room from A to B 4', from B to C 6'; 8' w, 5' s, 8' e",
		mm: 'Kitchen room from A to B 1200, from B to C 1800; 2400 w, 1500 s, 2400 e'
	},
	keep: 'Warm it',
	takeOut: 'Take out',
	which: 'Which loop',
	rooms: 'Walked rooms',
	caution:
		'Heat load, tube and spacing are for who designs the heating. Shoot a picture with a tape in it before the pour, ' +
		'and keep the tube under pressure while it lasts.'
} as const;
