/** Visible strings of Order; fetched with it. */
import { foldedLoads } from './loads';

export const orderWords = {
	verdict: (text: string, unit: string) => `Order ${text} ${unit}.`,
	verdictUnder: (net: string, loads: readonly string[], stops: number) =>
		`${net} as drawn, the rest by reason. ${loads.length === 1 ? 'One truck' : `${loads.length} trucks: ${foldedLoads(loads).join(', ')}`}.${
			stops ? ` ${stops === 1 ? 'One thing stops' : `${stops} things stop`} the call; see the card.` : ''
		}`,
	secondPours: 'Second pours, ordered on their own',
	secondHow: 'Poured on starters or beside the slab, on another day; none of it is in the order above.',
	part: 'Part',
	how: 'How',
	drawn: 'As drawn',
	need: 'Likely need',
	second: 'Counted a second way',
	where: 'Where every yard of it goes',
	whereM: 'Where every cubic metre goes',
	slices: (n: string, wide: string) => `Same slab in ${n} slices, left to right, shown by the ${wide}.`,
	foot: 'foot',
	halfMetre: 'half metre',
	counting: (share: number) => `Counting it a second way: ${Math.round(share * 100)} %.`,
	compare: (slices: string, parts: string, unit: string) => `Slices ${slices} ${unit}, parts ${parts} ${unit}.`,
	loads: 'Loads',
	card: 'Read this to the plant',
	cardHint: 'In the order in which they ask.',
	stopped: 'Do not call yet.',
	mend: 'Mend it in',
	moreAlike: (count: number) => `${count} more like it.`,
	unsaid: 'Not said yet:',
	copy: 'Copy',
	copied: 'Copied',
	print: 'Print',
	fill: 'Fill in',
	change: 'Change',
	fields: {
		'site.address': 'Address',
		'site.directions': 'How to get in',
		'mix.strength_mpa': 'Strength',
		'mix.stone_mm': 'Stone',
		'mix.slump_mm': 'Slump',
		'mix.air_percent': 'Air, %',
		'order.spacing_min': 'Minutes between trucks',
		'order.method': 'How it is unloaded',
		'order.pour_at': 'First truck on site',
		'order.ring.name': 'Who to ring',
		'order.ring.phone': 'Their number'
	},
	methods: { chute: 'Chute', pump: 'Pump', barrows: 'Barrows', conveyor: 'Conveyor' },
	caution: 'Wet concrete burns skin and eyes: gloves, boots, wash. One spotter for reversing trucks.',
	needOutline: 'No outline yet, so nothing to order.',
	ownWays: 'This job’s own ways',
	truck: 'Truck'
} as const;
