/** Pour: what is next and by when, tickets, how much is left, what sets when, trouble, the day on one page. */
import { lens } from '../lens';

export const pourLens = lens(
	'pour',
	'0',
	['now', 'tickets', 'left', 'finish', 'trouble', 'notes'] as const,
	'grid-cols-[minmax(420px,540fr)_minmax(600px,740fr)] max-phone:grid-rows-[230px_auto] short:max-phone:grid-rows-[136px_auto]',
	{
		left: 'grid-cols-[minmax(360px,440fr)_minmax(640px,840fr)] max-phone:grid-rows-[200px_auto] short:max-phone:grid-rows-[136px_auto]'
	}
);
