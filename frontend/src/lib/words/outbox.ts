/** Words of what waits on this device. */
const many = (n: number, one: string, more: string) => (n === 1 ? `One ${one}` : n ? `${n} ${more}` : '');
const both = (edits: number, records: number) =>
	[
		many(edits, 'edit', 'edits'),
		many(records, 'record', 'records')
			.toLowerCase()
			.replace('one', edits ? 'one' : 'One')
	]
		.filter(Boolean)
		.join(' and ');

export const outboxWords = {
	title: 'What waits on this device',
	waits: (edits: number, records: number, offline: boolean, lasting: boolean) =>
		`${offline ? 'No answer from the program. ' : ''}${both(edits, records)} ${edits + records === 1 ? 'is' : 'are'} kept ` +
		`on this ${lasting ? 'device' : 'page alone, so leave it open,'} and will be sent.`,
	after: (n: number) => `${n === 1 ? 'One edit waits' : `${n} edits wait`} behind this one.`,
	yours: (says: string) => `Yours: ${says}.`,
	show: 'Show them',
	hide: 'Fold up',
	now: 'Send now',
	copy: 'Copy',
	copied: 'Copied',
	letGo: 'Let it go',
	refused: 'Not kept',
	takeBack: (says: string) => `Takes back what waits: ${says}`,
	record: {
		taped: 'Taped round',
		'string-gaps': 'Gaps to the string',
		'form-levels': 'Levels along a form',
		'form-back': 'Form put back',
		'set-up': 'Laser set up',
		'bench-shot': 'Shot on a mark',
		'turning-point': 'Turning point',
		shots: 'Rod shots',
		'as-dug': 'Trench as dug',
		'ground-test': 'Test of the ground',
		'soft-spot': 'Soft spot',
		'lift-signed': 'Lift signed',
		'peg-shot': 'Rod at a peg',
		'riser-check': 'Riser taped',
		'line-test': 'Line tested',
		'steel-check': 'Steel looked at',
		'embed-set': 'Set',
		'pad-set': 'Pad',
		'order-called': 'Call to the plant',
		weather: 'Weather',
		footprint: 'Print',
		check: 'Look on the walk',
		ticket: 'Load',
		front: 'Front of the pour',
		gauge: 'Gauge read',
		act_done: 'Act of the pour',
		incident: 'Trouble',
		load_called: 'Last truck said',
		plant_said: 'Word of the plant',
		sawn: 'Joint sawn',
		given: 'Who does it',
		cover: 'Cover',
		round: 'Round with water',
		probe: 'Temperature',
		cylinder: 'Cylinder',
		level_shot: 'Level on the slab',
		stripped: 'Boards off',
		as_built: 'As it stands',
		edge_finished: 'Foam finished',
		racked: 'Boards on the rack',
		invoiced: 'Invoice',
		hours: 'Hours',
		left_over: 'Concrete left',
		lesson: 'Lesson',
		overruled: 'Hold taken on',
		paper: 'Paper',
		signature: 'Signature',
		'site-change': 'Change on site',
		'set-lesson': 'How it set',
		photo: 'Photo',
		struck: 'Struck out'
	} as Record<string, string>
};
