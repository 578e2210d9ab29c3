/** Visible strings of Cure; fetched with it. */
export const cureWords = {
	needOutline: 'First the slab, then its cure.',
	tabsName: 'The cure',
	missing: {
		day: 'Which day is it poured? Say in Gate when the first truck should stand there.',
		weather: 'What will the weather be? Gate, Day asks for it.',
		loads: 'Nothing is poured yet: Order says how much.'
	} as Record<string, string>,
	sheet: 'Cover, probes, and when each room will bear',
	build: (text: string) => `build ${text}`,
	practice: 'What you say is written down at',
	later: (text: string) => `Later by ${text}`,
	steps: [
		[1, '+ 1 h'],
		[6, '+ 6 h'],
		[24, '+ 1 day']
	] as [number, string][],
	back: 'Back',
	takeBack: 'Take it back',
	by: (text: string, by: string) => `${text}${by ? `, ${by}` : ''}`,
	caution:
		'Wet concrete burns skin and eyes. Blankets and heaters: no flame under sheets, vent every heater outside. ' +
		'The engineer says when it may be loaded.',
	strength: {
		under: (age: string) => age,
		slant: 'Width is strength. A long slant is a wide range: early on the upper edge, late on the lower.',
		unread: 'Dashed: nobody read it, the model stands in.',
		now: 'now',
		why: (name: string) => `${name}, by two clocks`,
		other: (text: string) => `By degree hours alone it may be built on ${text}.`,
		read: 'Temperature, by hand',
		readHow: { 'ft-in': 'in the concrete, °F', mm: 'in the concrete, °C' } as Record<string, string>,
		keep: 'Keep it',
		probe: 'Read the probe',
		probeHow: 'The probe here is a made-up one. Try what happens when it fails.',
		probeFold: 'Probes',
		faults: { well: 'sound', drops: 'drops out', drifts: 'drifts', pulled: 'is pulled' } as Record<string, string>,
		nothing: 'It said nothing new.',
		took: (n: number) => `${n} readings taken in.`,
		cylinders: 'Cylinders',
		cylinderNone: 'None broken yet. They narrow every range.',
		number: 'Number',
		broke: { 'ft-in': 'Broke at, psi', mm: 'Broke at, MPa' } as Record<string, string>,
		bath: 'bath',
		site: 'beside the slab',
		against: (text: string) => `the curve says ${text}`,
		enter: 'Enter it',
		froze: 'Nothing counts any more'
	},
	cover: {
		verdict: (text: string, at: string) => `${text} at ${at}`,
		wet: 'Wet it',
		none: 'Nothing lies on it yet',
		noneUnder: 'A round with water is counted as long as nothing else lies there.',
		quiet: 'Nothing to do now',
		quietUnder: (text: string) => `Worst drying to come: ${text} if it lay bare.`,
		lies: 'What lies on it',
		names: { wet: 'Water', sheets: 'Sheets', blankets: 'Blankets', compound: 'Compound' } as Record<string, string>,
		on: (name: string) => `${name}: laid`,
		off: (name: string) => `${name}: off`,
		where: 'Where',
		all: 'all of it',
		litres: (text: string) => `${text} of compound for all of it`,
		rounds: 'Rounds with water',
		roundsHow: 'By the drying of each hour. A name under each; a press when it is done.',
		who: (at: string) => `Who has the round at ${at}`,
		anybody: 'anybody',
		done: (at: string) => `Wetted now, for ${at}`,
		doneIs: 'done',
		missed: 'missed',
		trying: 'Blankets tried',
		tryIt: 'Try blankets',
		tryHow: 'Press rooms on the plan to try blankets over them from now on; the cuts move before anything is laid.',
		lay: 'Blankets are laid',
		let: 'Let go',
		drying: 'Drying of a bare wet top'
	},
	work: {
		verdict: (cuts: number, sides: number) =>
			[
				cuts ? `${cuts} ${cuts === 1 ? 'joint' : 'joints'} to saw` : '',
				sides ? `${sides} ${sides === 1 ? 'side' : 'sides'} to strip` : ''
			]
				.filter(Boolean)
				.join(', ') || 'All sawn, all stripped',
		under: 'Earliest by the late end of each range.',
		sides: 'Boards, side by side',
		off: 'Off',
		from: (text: string) => `from ${text}`,
		wasOff: (text: string, by: string) => `off ${text}${by ? `, ${by}` : ''}`,
		levels: 'Level round on the finished slab',
		levelsHow: 'Tap on the plan where the rod stands, then say how far over or under what is drawn.',
		over: 'Over',
		under2: 'Under',
		level: { 'ft-in': 'Over or under, like 1/4', mm: 'Over or under, mm' } as Record<string, string>,
		tapFirst: 'Tap on the plan first.',
		worst: (text: string) => `worst gap under a straightedge ${text}`,
		nine: (text: string) => `nine in ten within ${text}`,
		flat: (name: string) => (name === 'none' ? 'meets no class' : `meets “${name}”`),
		mend: (text: string, cost: string) => `${text}, about ${cost}`,
		spot: (text: string, over: boolean) => `${text} ${over ? 'over' : 'under'}`,
		none: 'No shot yet. Shots about every five feet tell the most.'
	}
};
