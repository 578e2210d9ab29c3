/** Which tab of a lens is open: the page's address says it, so that a link leads to it and Back leads back. */
import { goto } from '$app/navigation';
import { page } from '$app/state';
import { type Lens, tabOf } from './lens';

export class Turn<T extends string> {
	constructor(readonly lens: Lens<T>) {}
	get tab(): T {
		return tabOf(this.lens, page.url.searchParams.get('tab'));
	}
	/** Turn to a tab; the focus stays where it is. */
	to(tab: string): void {
		void goto(`?tab=${tab}`, { reset: false });
	}
}
