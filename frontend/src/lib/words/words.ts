/** Every visible string of the screens. Short, second person, present. */
import { finderWords } from './finder';
import { lines } from './lines';
import { outboxWords } from './outbox';
import { edgeTabs, groundTabs } from './tabs';

export const w = {
	product: 'Humble Trowel',
	finder: finderWords,
	notSet: 'not set',
	wholeSheet: 'Whole sheet',
	notSaid: 'not said',
	asCrew: 'as the crew does',
	ways: 'Ways',
	yardTitle: 'Yard',
	lenses: {
		lines: 'Lines',
		ground: 'Ground',
		edges: 'Edges',
		underslab: 'Underslab',
		steel: 'Steel',
		embeds: 'Embeds',
		screed: 'Screed',
		order: 'Order',
		gate: 'Gate',
		pour: 'Pour',
		cure: 'Cure'
	},
	ask: {
		start: 'Where does it start?',
		lines: 'Does it close, and is it square?'
	},
	firstActs: {
		title: 'The first act of each stage',
		here: 'you are here',
		go: 'go there',
		needs: 'needs Lines',
		lines: 'Call the sides, and back to A',
		ground: 'Name a mark that nobody will move, and set the laser up on it',
		edges: 'Say how deep the edge goes: 12 wide 18 deep',
		underslab: 'Walk the drain: from which two faces, which way, how it falls',
		steel: 'Say how each slab is held together: bars, mesh, fibre, or nothing',
		embeds: 'Take a wall from each side, or say it comes whole',
		screed: 'Lay the strips by rule, then move them',
		order: 'Comes by itself; then ask the plant',
		gate: 'Book a day, and walk round the slab',
		pour: 'On the day: press what is done, tap where the front stands',
		cure: 'Lay something on it, and wet it before it dries'
	},
	guess: {
		label: 'Slab, thick',
		is: 'a guess till you say it',
		right: 'That is right'
	},
	who: { label: 'Who is working', none: 'Nobody picked', crew: 'Write crew names in Ways.' },
	sheet: { name: 'Sheet', north: 'north' },
	board: {
		tally: 'Tally',
		stages: 'Stages',
		was: 'was',
		now: 'now',
		net: 'net of openings',
		sidesAdded: 'all sides added',
		order: 'Order',
		trucks: 'Trucks',
		area: 'Area',
		next: 'Next act',
		inForms: 'In the forms',
		ofAbout: (text: string) => `of about ${text}`,
		lastTruck: 'Last truck',
		nextLikeIt: 'Order, next like it',
		keptOf: 'Lessons',
		strength: 'When it bears',
		pour: 'Pour',
		pourNote: 'as it is booked',
		nextHold: (what: string) => `next: ${what}`,
		perimeter: 'Round the forms',
		rod: (zone: string) => `Rod on base, ${zone}`,
		rodNone: 'Rod on base',
		measured: 'as measured on site',
		setUpFirst: 'set the laser up',
		laserMoved: 'laser moved: shoot the mark again',
		rodNote: 'laser moves, this moves',
		callFirst: 'call the first side',
		forFootings: 'for the footings',
		cannot: 'cannot be worked out, see above',
		keep: 'Keep',
		drop: 'Let go',
		undo: 'Undo',
		redo: 'Redo',
		units: 'Units',
		dim: 'Cab dim',
		day: 'Daylight',
		keys: 'Keys'
	},
	turns: { before: 'The tab before', next: 'The next tab' },
	slip: { working: 'Working', from: 'Uses', close: 'Close', back: 'Back', set: 'Where it is set' },
	ground: { tabs: groundTabs },
	lines,
	underslab: {
		tabs: {
			services: { name: 'Services', ask: 'What is buried?' },
			check: { name: 'Check', ask: 'Is it where it should be?' },
			tests: { name: 'Tests', ask: 'Does it hold?' },
			barrier: { name: 'Barrier', ask: 'How does the barrier lie?' },
			foam: { name: 'Foam', ask: 'Which boards, and where?' },
			tubing: { name: 'Tubing', ask: 'How does the tube run?' },
			clashes: { name: 'Clashes', ask: 'What is in the way?' }
		}
	},
	steel: {
		tabs: {
			way: { name: 'Way', ask: 'What goes in?' },
			mat: { name: 'Mat', ask: 'How do the bars lie?' },
			cages: { name: 'Cages', ask: 'What goes in, bent how?' },
			dowels: { name: 'Dowels', ask: 'What ties it on?' },
			chairs: { name: 'Chairs', ask: 'What holds it up?' },
			lists: { name: 'Lists', ask: 'What goes in, cut how?' },
			look: { name: 'Look', ask: 'Is it as drawn?' }
		}
	},
	screed: {
		tabs: {
			strips: { name: 'Strips', ask: 'What do we pull to?' },
			pads: { name: 'Pads', ask: 'Is the pad right?' },
			order: { name: 'Order', ask: 'Who goes first?' },
			joints: { name: 'Joints', ask: 'Where may it crack?' }
		}
	},
	embeds: {
		tabs: {
			walls: { name: 'Walls', ask: 'What will stand on it?' },
			bolts: { name: 'Bolts', ask: 'What sticks up?' },
			straps: { name: 'Straps and plates', ask: 'What else is set?' },
			setting: { name: 'Setting', ask: 'Where is the next one?' }
		}
	},
	order: {
		tabs: {
			ledger: { name: 'Ledger', ask: 'How much do I order?' },
			sure: { name: 'How sure', ask: 'How much do I order?' },
			mix: { name: 'Mix', ask: 'What goes in the drum?' },
			trucks: { name: 'Trucks', ask: 'How far apart do they come?' },
			cost: { name: 'Cost', ask: 'What does it cost?' },
			call: { name: 'Call-in', ask: 'What do I say to the plant?' }
		}
	},
	pour: {
		tabs: {
			now: { name: 'Now', ask: 'What is next, and by when?' },
			tickets: { name: 'Tickets', ask: 'What came, and is it good?' },
			left: { name: 'How much left', ask: 'How much is left to fill?' },
			finish: { name: 'Finish', ask: 'What sets when?' },
			trouble: { name: 'Trouble', ask: 'What now?' },
			notes: { name: 'Notes', ask: 'What happened?' }
		}
	},
	cure: {
		tabs: {
			cover: { name: 'Cover', ask: 'Is it wet and warm enough?' },
			strength: { name: 'Strength', ask: 'When can we build on it?' },
			work: { name: 'Saw and strip', ask: 'What comes off, and is it flat?' },
			built: { name: 'As built', ask: 'How does it really stand?' },
			lessons: { name: 'Lessons', ask: 'What does the next quote learn?' },
			papers: { name: 'Papers', ask: 'What do we hand over?' }
		}
	},
	gate: {
		tabs: {
			holds: { name: 'Holds', ask: 'May we pour?' },
			day: { name: 'Day', ask: 'When do we start?' },
			trades: { name: 'Trades', ask: 'What drives the pour day?' },
			week: { name: 'Week', ask: 'Who is where?' },
			papers: { name: 'Papers', ask: 'What paper is missing?' },
			changes: { name: 'Changes', ask: 'What was changed on site?' }
		}
	},
	edges: { tabs: edgeTabs },
	moreBelow: 'more below',
	callKeys: {
		name: 'Keys for calls',
		"'": 'feet',
		'"': 'inches',
		'/': 'part of',
		' ': 'space',
		',': 'comma',
		'&': 'and',
		back: 'take back',
		n: 'north',
		e: 'east',
		s: 'south',
		w: 'west',
		from: 'from',
		by: 'by',
		abc: 'letters'
	},
	notices: {
		noPart: 'This part is not here yet and there is no network. Try again when there is.',
		broken: 'This slab cannot be worked out.',
		takeFile: 'Take it out as a job file',
		noAnswer: 'No answer from the program. Nothing was kept; what you typed is still here.',
		noStep: 'No answer from the program. Nothing was taken back; press again when it is there.',
		moreUnread: (n: number) => (n === 1 ? 'One more is like it.' : `${n} more are like it.`),
		takeStored: 'Take out all that is stored',
		backTo: 'An earlier state can be brought back.',
		seeTheirs: 'See theirs',
		seeMine: 'See mine',
		reapply: 'Put mine on top',
		theirs: 'Take theirs',
		gone: 'That job is not here. It may have been deleted.',
		toYard: 'To the yard',
		loading: 'Fetching the slab.'
	},
	reading: { name: 'Reading the file', busy: (percent: number) => `Reading the file, about ${percent} %.`, stop: 'Stop reading' },
	outbox: outboxWords,
	history: { more: 'Show earlier ones', title: 'Every change', back: 'Go back to this', now: 'now' },
	help: {
		title: 'Keys and marks',
		skip: 'To the bench'
	}
} as const;
