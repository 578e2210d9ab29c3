/** The laptop's own view of who comes in, and its acts. */
import { api } from '../api/api';
import type { SiteState, YardJob } from '../api/schema';
import { Resource, troubleOf, type Trouble } from '../state/resource.svelte';

export class SiteData {
	#asked = new Resource(() => api.site());
	jobs = $state.raw<YardJob[]>([]);
	trouble = $state.raw<Trouble | null>(null);
	/** which act is on its way */
	busy = $state('');
	/** seconds since the state came: the number runs out while one looks */
	age_s = $state(0);
	#came = performance.now();

	get state(): SiteState | null {
		return this.#asked.value;
	}
	get problem(): string {
		return this.#asked.problem;
	}
	get left_s(): number {
		return Math.max(0, (this.state?.left_s ?? 0) - this.age_s);
	}
	async load() {
		if (await this.#asked.load()) this.#now();
	}
	async yard() {
		this.jobs = await api.yard().catch(() => this.jobs);
	}
	#now() {
		[this.#came, this.age_s] = [performance.now(), 0];
	}
	tick() {
		this.age_s = (performance.now() - this.#came) / 1000;
	}
	async act(name: string, act: () => Promise<SiteState>) {
		[this.busy, this.trouble] = [name, null];
		try {
			this.#asked.value = await act();
			this.#now();
		} catch (error) {
			this.trouble = troubleOf(error);
		} finally {
			this.busy = '';
		}
	}
}
