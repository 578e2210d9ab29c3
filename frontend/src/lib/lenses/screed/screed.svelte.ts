/** What the joints look at: lines and panels with what is being tried, the joint that is held, layouts by rule. */
import { api } from '../../api/api';
import type { JointsState, JointTold, Proposals } from '../../api/schema';
import type { Edit, JobStore } from '../../state/job.svelte';
import { Resource } from '../../state/resource.svelte';
import { tried } from '../../state/tried';

export class ScreedData {
	readonly #state: Resource<JointsState>;
	readonly #laid = new Resource<Proposals>(() => api.jointProposals(this.store.id));
	#held = $state('');

	constructor(readonly store: JobStore) {
		this.#state = tried(store, api.joints);
	}

	async load() {
		if (this.store.kept?.document.outline) await this.#state.load();
	}
	async loadProposals() {
		if (this.store.kept?.document.outline) await this.#laid.load();
	}
	/** hours of the set clock, '' until the day is worked out */
	get day(): string {
		return this.#state.value?.day ?? '';
	}
	get problem() {
		return this.#state.problem;
	}
	get found() {
		return this.#state.value?.joints ?? null;
	}
	get findings() {
		return this.#state.value?.findings ?? [];
	}
	get proposals() {
		return this.#laid.value?.rows ?? [];
	}
	get lines(): JointTold[] {
		return this.found?.lines ?? [];
	}
	get held(): JointTold | null {
		return this.lines.find((row) => row.id === this.#held) ?? null;
	}
	hold(id: string) {
		this.#held = this.#held === id ? '' : id;
	}
	step(by: number) {
		const at = this.lines.findIndex((row) => row.id === this.#held);
		const next = this.lines[at < 0 ? 0 : at + by];
		if (next) this.#held = next.id;
	}
	async keep(edit: object, at = 'joint') {
		const kept = await this.store.keep([edit as Edit], at);
		await this.load();
		return kept;
	}
}
