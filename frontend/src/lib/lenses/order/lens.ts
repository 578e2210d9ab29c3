/** Order: how much, how sure, what goes in the drum, how trucks come, what it costs, and the call to the plant. */
import { lens } from '../lens';

export const orderLens = lens(
	'order',
	'8',
	['ledger', 'sure', 'mix', 'trucks', 'cost', 'call'] as const,
	'grid-cols-[minmax(400px,440fr)_minmax(640px,840fr)] max-phone:grid-rows-[460px_auto]',
	{
		sure: 'grid-cols-[minmax(400px,440fr)_minmax(640px,840fr)] max-phone:grid-rows-[190px_auto]',
		mix: 'grid-cols-[minmax(400px,440fr)_minmax(640px,840fr)] max-phone:grid-rows-[190px_auto]',
		trucks: 'grid-cols-[minmax(440px,600fr)_minmax(600px,680fr)] max-phone:grid-rows-[280px_auto]',
		cost: 'grid-cols-[minmax(320px,360fr)_minmax(640px,920fr)] max-phone:grid-rows-[130px_auto]',
		call: 'grid-cols-[minmax(320px,400fr)_minmax(640px,880fr)] max-phone:grid-rows-[130px_auto]'
	}
);
