/** Gate: may we pour? What holds it, its day, trades and their days, the week of all jobs, papers, changes. */
import { lens } from '../lens';

export const gateLens = lens(
	'gate',
	'9',
	['holds', 'day', 'trades', 'week', 'papers', 'changes'] as const,
	'grid-cols-[minmax(440px,600fr)_minmax(600px,680fr)] max-phone:grid-rows-[250px_auto]',
	{
		trades: 'grid-cols-[minmax(300px,440fr)_minmax(700px,840fr)] max-phone:grid-rows-[200px_auto]',
		papers: 'grid-cols-[minmax(280px,420fr)_minmax(700px,860fr)] max-phone:grid-rows-[160px_auto]',
		week: 'grid-cols-[minmax(280px,400fr)_minmax(720px,880fr)] max-phone:grid-rows-[200px_auto]'
	}
);
