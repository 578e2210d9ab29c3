/** Visible strings of how the crew reads a day, in Ways. */
export const dayWays = {
	title: 'Gate: the day',
	how: 'What helps is taken to do so much; prints of the crew’s own days say better.',
	dries: 'Drying by',
	formulas: { menzel: 'Menzel', uno: 'Uno' },
	saw: 'The saw',
	saws: { conventional: 'Conventional', early: 'Early-entry' },
	keys: {
		plant_opens_h: 'The plant opens, as 5.5',
		plant_shuts_h: 'It shuts',
		earliest_h: 'No truck stands here before',
		windbreak_share: 'A windbreak leaves of the wind, in 100',
		fog_humid_share: 'Fog brings the air to, in 100',
		film_share: 'A film leaves of the drying, in 100',
		cooler_c: 'A cooler mix is cooler by, °C',
		pour_order_min: 'A later part may set sooner by, minutes',
		set_ratio: 'Concrete sets at so much of its model’s pace',
		set_sd_share: 'Spread of that, in 100',
		zone_sd_share: 'Spread of a place by itself, in 100',
		truck_sd_share: 'Spread of a load by itself, in 100',
		print_sd_share: 'Spread of a print, in 100',
		walk_mpa: 'Walk on it at, MPa',
		strip_mpa: 'Strip forms at, MPa',
		build_mpa: 'Build on it at, MPa',
		load_share: 'Load it at so much of its strength, in 100'
	}
} as const;
