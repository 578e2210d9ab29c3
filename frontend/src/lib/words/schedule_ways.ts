/** Visible strings of how the crew's trades follow one another, in Ways. */
export const scheduleWays = {
	title: 'Gate: trades and their days',
	how: 'What a day brings is a house figure until the crew says. Inspector, plant and locators say their own notice.',
	forms: 'Boards and stone',
	orders: { 'forms-first': 'Boards first', 'stone-first': 'Stone first' },
	workdays: 'We work on',
	visit_weekdays: 'The inspector comes on',
	days: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
	keys: {
		hands: 'Hands where nobody is named',
		pour_hands: 'Hands for a pour',
		plant_notice_days: 'Notice of the plant, working days',
		visit_notice_days: 'Notice of the inspector, working days',
		locate_notice_days: 'Notice of the locators, working days',
		wet_cure_days: 'Kept wet, days',
		dig_m2_day: 'Dug a day, m²',
		stone_m2_day: 'Stone a day, m²',
		forms_m_day: 'Boards a day, m',
		barrier_m2_day: 'Plastic a day, m²',
		foam_m2_day: 'Foam a day, m²',
		tubes_m2_day: 'Tubes a day, m²',
		steel_kg_day: 'Steel a day, kg',
		dig_rain_mm: 'Dig up to, mm of rain',
		stone_rain_mm: 'Stone up to, mm of rain',
		barrier_rain_mm: 'Plastic up to, mm of rain',
		barrier_dry_mm: 'Plastic waits for a day of, mm of rain',
		barrier_wind_ms: 'Plastic and foam up to, m/s of wind',
		pour_rain_mm: 'Pour up to, mm of rain',
		dry_after_mm: 'A fresh slab bears the day after, mm of rain',
		pour_least_c: 'Pour from, °C at the coldest',
		pour_most_c: 'Pour up to, °C at the warmest'
	}
} as const;
