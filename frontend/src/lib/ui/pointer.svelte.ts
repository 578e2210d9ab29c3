/** Whether the screen is touched: asked of the browser, so that it follows a mouse that is plugged in. */
import { MediaQuery } from 'svelte/reactivity';

const query = typeof window === 'undefined' ? null : new MediaQuery('(pointer: coarse)');
export const coarse = {
	get now(): boolean {
		return query?.current ?? false;
	}
};
