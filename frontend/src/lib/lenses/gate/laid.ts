/** What lies on the ground on a day, from the days of its tasks. */
import type { TaskTold } from '../../api/schema';

export interface Laid {
	key: string;
	name: string;
	there: boolean;
	/** when it comes, or came */
	on: string;
}
/** from the ground up */
export const STACK = ['dig', 'pipes', 'stone', 'foam', 'barrier', 'tubes', 'steel', 'pour'] as const;

export const laidOn = (tasks: readonly TaskTold[], day: string): Laid[] =>
	STACK.flatMap((key) => {
		const one = tasks.find((task) => task.key === key);
		return one ? [{ key, name: one.name, there: one.state === 'done' || one.finish <= day, on: one.finish }] : [];
	});
