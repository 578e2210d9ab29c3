/** Visible strings of how the crew cures, in Ways. */
export const cureWays = {
	title: 'Cure',
	how: 'What usually lies on a slab, and from which strength wheels may stand on it.',
	cover: 'What lies on it',
	covers: { wet: 'Water', sheets: 'Sheets', blankets: 'Blankets', compound: 'Compound' },
	keys: {
		days: 'Kept so many days',
		film_kg_m2: 'Water that a round leaves, kg/m²',
		round_from_h: 'Rounds from, as 6.5',
		round_until_h: 'Until',
		compound_m2_l: 'A litre of compound covers, m²',
		coats: 'Coats',
		blanket_r_m2_k_w: 'A blanket insulates, m²K/W',
		drive_mpa: 'Wheels on it at, MPa',
		edge_mm: 'The straightedge, mm',
		grind_cents_m2: 'Grinding, cents a m²',
		fill_cents_m2: 'Filling, cents a m²'
	}
} as const;
