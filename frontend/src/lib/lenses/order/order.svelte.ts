/** What the tabs of Order look at: the answer of the tab, with what is tried: an order on the board, a spacing, other days by chance. */
import { api } from '../../api/api';
import type { Finding, OrderState } from '../../api/schema';
import type { Edit, JobStore } from '../../state/job.svelte';
import { onTab } from '../../state/findings';
import { Resource } from '../../state/resource.svelte';
import { tried } from '../../state/tried';

export type OrderTab = 'ledger' | 'sure' | 'mix' | 'trucks' | 'cost' | 'call';

export class OrderData {
	readonly #state: Resource<OrderState>;
	tab: OrderTab = 'ledger';
	/** an order that is tried on the board, m3; null for the one that stands */
	board = $state<number | null>(null);
	/** minutes between trucks that are tried; null for what is said */
	spacing = $state<number | null>(null);
	/** minutes that single trucks are tried late, by their number from 0 */
	late = $state.raw<Record<string, number>>({});
	seed = $state(1);
	/** minutes after the first truck, played; null for the whole pour */
	minutes = $state<number | null>(null);
	#rest: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly store: JobStore) {
		this.#state = tried(store, (id, body) =>
			api.order(id, { ...body, tab: this.tab, spacing_min: this.spacing, late_min: this.late, seed: this.seed, today: today() })
		);
	}
	async load() {
		if (this.store.kept?.document.outline) await this.#state.load();
	}
	/** Try a spacing: asked for when the hand rests. */
	space(minutes: number | null) {
		this.spacing = minutes;
		clearTimeout(this.#rest);
		this.#rest = setTimeout(() => void this.load(), 120);
	}
	/** Try a truck late, or early: asked for when the hand rests. */
	delay(load: number, minutes: number) {
		this.late = { ...this.late, [load]: minutes };
		clearTimeout(this.#rest);
		this.#rest = setTimeout(() => void this.load(), 120);
	}
	/** What was tried of the trucks is let go. */
	letTrucksGo() {
		this.late = {};
		this.space(null);
	}
	get problem() {
		return this.#state.problem;
	}
	get loading() {
		return this.#state.loading;
	}
	get sure() {
		return this.#state.value?.sure ?? null;
	}
	get mix() {
		return this.#state.value?.mix ?? null;
	}
	get heat() {
		return this.#state.value?.heat ?? null;
	}
	/** Whose forecast says how warm the air is; '' where it is typed or unknown. */
	get airFrom() {
		return this.#state.value?.air_from ?? '';
	}
	get delivery() {
		return this.#state.value?.delivery ?? null;
	}
	get cost() {
		return this.#state.value?.cost ?? null;
	}
	get called() {
		return this.#state.value?.called ?? null;
	}
	get findings() {
		return this.#state.value?.findings ?? [];
	}
	/** the order that is looked at, m3 */
	get order(): number {
		return this.board ?? this.sure?.called.order_m3 ?? 0;
	}
	/** what is doubtful on a tab, and that nobody has asked the plant */
	doubts(tab: OrderTab): Finding[] {
		const asked = (this.store.doubts?.findings ?? this.store.figure?.findings ?? []).filter(
			(one) => one.code === 'truck-unknown'
		);
		return onTab([...this.findings, ...asked], tab);
	}
	async keep(edit: object, at = 'order') {
		const kept = await this.store.keep([edit as Edit], at);
		await this.load();
		return kept;
	}
	/** Keep plain fields of the plan by their key path. */
	set(values: Record<string, unknown>, at = 'order') {
		return this.keep({ op: 'set_fields', values }, at);
	}
}

/** The day here, as the program writes days. */
export function today(now = new Date()): string {
	const two = (n: number) => `${n}`.padStart(2, '0');
	return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
