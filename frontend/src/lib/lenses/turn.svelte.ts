/** Which tab of a lens is open: the page's address says it, so that a link leads to it and Back leads back. */
import { goto } from '$app/navigation';
import { page } from '$app/state';
import { type Lens, tabOf } from './lens';

export class Turn<T extends string> {
	constructor(readonly lens: Lens<T>) {
		turns.here = this as unknown as Turn<string>;
	}
	get tab(): T {
		return tabOf(this.lens, page.url.searchParams.get('tab'));
	}
	/** Turn to a tab; the focus stays where it is. */
	to(tab: string): void {
		turns.turned = goto(`?tab=${tab}`, { reset: false });
	}
	/** The tab before or after, where there is one. */
	step(by: number): void {
		const next = this.lens.tabs[this.lens.tabs.indexOf(this.tab) + by];
		if (next) this.to(next);
	}
}

/** The tabs that are on the screen, for the keys. */
export const turns = {
	here: null as Turn<string> | null,
	/** when the tab that was last asked for stands on the screen */
	turned: Promise.resolve() as Promise<void>,
	step(by: number) {
		this.here?.step(by);
	}
};
