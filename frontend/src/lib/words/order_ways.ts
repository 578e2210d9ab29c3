/** Visible strings of how the order is made, in Ways. */
export const orderWays = {
	spreadHow: 'Two pours in three stay within a spread. Shots and tickets shrink it.',
	decide: 'How the order is made',
	decides: { need: 'Likely need', cost: 'Least cost' },
	parts: {
		doubt: {
			title: 'Order: how sure guesses are',
			keys: {
				base_sd_mm: 'Base set by hand, high or low by',
				rough_mm: 'Bumps of the base',
				shot_sd_mm: 'Rod and laser, out by',
				trench_wide_sd_mm: 'Trench wider or narrower by',
				trench_deep_sd_mm: 'Trench deeper or shallower by',
				dug_sd_mm: 'Trench once measured, out by',
				bow_out_mm: 'Forms bow out in the middle by',
				bow_sd_mm: 'Forms bow more or less by',
				yield_low_share: 'A load lacks of its ticket, in 100',
				yield_sd_share: 'A ticket is out by, in 100',
				left_sd_m3: 'What stays in drum and chute, out by',
				prime_m3: 'Pump and hose hold back',
				prime_sd_m3: 'Pump and hose, out by'
			}
		},
		risk: {
			title: 'Order: what short and long cost',
			keys: {
				least_m3: 'The least load they send',
				margin_m3: 'A load sent for is more than is missing by',
				disposal_cents_m3: 'To be rid of a m³, $',
				wait_cents: 'Crew stands until it comes, $',
				cold_joint_share: 'An edge sets meanwhile, times in 100',
				cold_joint_cents: 'What such a joint costs, $',
				short_cents_m3: 'Fee for each m³ under the short load, $'
			}
		},
		pour: {
			title: 'Order: how pours go',
			keys: {
				batch_min: 'To load a truck, minutes',
				line_min: 'A call waits at the plant, minutes',
				travel_min: 'Road, minutes',
				back_min: 'Road back, minutes',
				fleet: 'Trucks they send',
				places: 'Places to stand',
				crew_m3_h: 'The crew places in an hour, m³',
				strike_m2_h: 'Struck in an hour, m²',
				finishers: 'Machines that float',
				finish_m2_h: 'Each floats in an hour, m²',
				temp_c: 'Concrete as placed, °C',
				load_min: 'Batching to the last yard, minutes at most',
				joint_share: 'An edge is too old at this much of initial set, in 100',
				free_min_m3: 'Free minutes for a m³',
				wait_cents_h: 'A waiting truck, $ an hour',
				crew_cents_h: 'The whole crew, $ an hour',
				pump_cents_h: 'The pump, $ an hour',
				pump_least_h: 'Pump, hours at least',
				travel_sd_min: 'Roads vary by, minutes',
				pace_sd_share: 'Unloading varies by, in 100',
				day_h: 'The crew’s day, hours'
			}
		},
		prices: {
			title: 'Prices',
			keys: {
				asked_on: 'Asked on, as 2027-06-17',
				old_days: 'Old after so many days',
				due_days: 'A bill waits, days',
				steel_cents_kg: 'Steel, $ a kg',
				barrier_cents_m2: 'Barrier, $ a m²',
				foam_cents_m3: 'Foam, $ a m³',
				tube_cents_m: 'Tubing, $ a m',
				bolt_cents: 'Anchor bolt, $',
				strap_cents: 'Strap or plate, $',
				saw_cents_m: 'Sawing, $ a m',
				cure_cents_m2: 'Curing, $ a m²',
				form_uses: 'A board serves so many pours',
				hour_cents: 'An hour of one, $',
				margin_share: 'Margin, % of the price'
			}
		}
	}
} as const;
