/** Words of the rule book. */
export const rules = {
	title: 'Rule book',
	back: 'Back',
	lead: (count: number, counties: number) =>
		`${count} rules, each with where it comes from${counties ? `; your county says otherwise in ${counties}` : ''}`,
	find: 'Find a rule: frost, stakes, R403',
	none: (asked: string) => `No rule has “${asked}”. Try one word less.`,
	mm: 'mm',
	ft: 'ft, in',
	county: 'county',
	families: {
		volume: 'Volume',
		order: 'Order',
		lines: 'Lines',
		forms: 'Forms',
		ground: 'Ground',
		edges: 'Edges',
		underslab: 'Underslab',
		steel: 'Steel',
		cutting: 'Cutting'
	},
	standing: {
		standard: 'code',
		handbook: 'handbook',
		thumb: 'thumb rule',
		house: 'house figure',
		estimate: 'estimate',
		typed: 'measured',
		definition: 'definition'
	},
	table: 'Its table',
	tryIt: 'Try it',
	says: 'Your county says',
	who: 'Who said so',
	when: 'On',
	keep: 'Keep it',
	forget: 'Back to the source',
	notAsked: 'Nobody has asked the county yet. Counties change these; ask before you rely on it.',
	caution: 'Recalled, not copied. Read the edition your county has adopted; the official decides.',
	offline: 'No signal to the program. What you typed still stands here; try again.',
	inBook: 'In the rule book'
};
