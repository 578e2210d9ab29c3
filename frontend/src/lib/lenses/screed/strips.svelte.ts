/** What strips, pads and their order look at: with what is being tried, what is held, what waits to be kept, the time on the string. */
import { api } from '../../api/api';
import type { PadTold, RunTold, ScreedState, StripProposal, StripTold } from '../../api/schema';
import { outbox } from '../../outbox/outbox.svelte';
import type { Edit, JobStore } from '../../state/job.svelte';
import { Resource } from '../../state/resource.svelte';
import { tried } from '../../state/tried';

export class StripsData {
	readonly #state: Resource<ScreedState>;
	readonly #laid = new Resource<StripProposal>(() => api.stripProposal(this.store.id));
	#strip = $state('');
	#pad = $state('');
	/** minutes from the first load; null for all of it */
	minutes = $state<number | null>(null);
	#kept = $state.raw<Record<string, unknown>[]>([]);

	constructor(readonly store: JobStore) {
		this.#state = tried(store, api.screed);
	}

	async load() {
		if (!this.store.kept?.document.outline) return;
		const read = this.#kept;
		if (await this.#state.load()) this.#kept = this.#kept.filter((row) => !read.includes(row));
	}
	async loadProposal() {
		if (this.store.kept?.document.outline) await this.#laid.load();
	}
	get problem() {
		return this.#state.problem;
	}
	get found() {
		return this.#state.value?.screed ?? null;
	}
	get findings() {
		return this.#state.value?.findings ?? [];
	}
	get proposal() {
		return this.#laid.value ?? null;
	}
	get strips(): StripTold[] {
		return this.found?.strips ?? [];
	}
	get runs(): RunTold[] {
		return this.found?.runs ?? [];
	}
	get worst(): StripTold | null {
		return this.strips.find((row) => row.wrong.length) ?? null;
	}
	get strip(): StripTold | null {
		return this.strips.find((row) => row.id === this.#strip) ?? null;
	}
	hold(id: string) {
		this.#strip = this.#strip === id ? '' : id;
	}
	step(by: number) {
		const at = this.strips.findIndex((row) => row.id === this.#strip);
		const next = this.strips[at < 0 ? 0 : at + by];
		if (next) this.#strip = next.id;
	}
	/** every pad, with what was said here and is not kept yet */
	get pads(): PadTold[] {
		const waiting = outbox
			.of(this.store.id)
			.flatMap((row) => (row.said.kind === 'record' && row.said.record.kind === 'pad-set' ? [row.said.record.values] : []));
		return withStruck(this.found?.pads ?? [], [...this.#kept, ...waiting]);
	}
	get pad(): PadTold | null {
		const rows = this.pads;
		return rows.find((row) => row.key === this.#pad) ?? rows.find((row) => row.state !== 'set') ?? rows[0] ?? null;
	}
	holdPad(key: string) {
		this.#pad = key;
	}
	after(pad: PadTold): PadTold | null {
		const rows = this.pads;
		const at = rows.findIndex((row) => row.key === pad.key);
		return [...rows.slice(at + 1), ...rows.slice(0, at)].find((row) => row.state !== 'set') ?? null;
	}
	/** A record was kept: it counts here from now on. */
	noteKept(values: Record<string, unknown>) {
		this.#kept = [...this.#kept, values];
	}
	/** the strip that is being pulled at the time on the string, and how far it is */
	get now(): { strip: StripTold; share: number } | null {
		if (this.minutes === null) return null;
		return pulledAt(this.strips, this.minutes);
	}
	async keep(edit: object, at = 'screed') {
		const kept = await this.store.keep([edit as Edit], at);
		await this.load();
		return kept;
	}
	/** Put a strip so many places further on. */
	async move(id: string, by: number) {
		const rows = moved(
			this.strips.filter((row) => row.named).map((row) => row.id),
			id,
			by
		);
		if (rows) await this.keep({ op: 'order_strips', strips: rows }, 'screed-order');
	}
	/** Put a strip in another's place. */
	async place(id: string, other: string) {
		const rows = this.strips.filter((row) => row.named).map((row) => row.id);
		await this.move(id, rows.indexOf(other) - rows.indexOf(id));
	}
}

/** Ids with one of them so many places further on; null where it goes nowhere. */
export function moved(ids: readonly string[], id: string, by: number): string[] | null {
	const at = ids.indexOf(id);
	const to = at + by;
	if (at < 0 || !by || to < 0 || to >= ids.length) return null;
	const rest = ids.filter((one) => one !== id);
	return [...rest.slice(0, to), id, ...rest.slice(to)];
}
/** The strip that is pulled at a time, with how much of it is done. */
export function pulledAt(strips: readonly StripTold[], minutes: number): { strip: StripTold; share: number } | null {
	const strip = strips.find((row) => minutes >= row.start_min && minutes < row.end_min);
	return strip ? { strip, share: (minutes - strip.start_min) / (strip.end_min - strip.start_min) } : null;
}

const NEAR_MM = 30;
/** Pads, as they are once what waits on this device is kept. */
export function withStruck(pads: readonly PadTold[], waiting: readonly Record<string, unknown>[]): PadTold[] {
	return pads.map((pad) => {
		const said = waiting.findLast(
			(row) => row['of'] === pad.of && typeof row['at_mm'] === 'number' && Math.abs(row['at_mm'] - pad.at_mm) <= NEAR_MM
		);
		if (!said) return pad;
		const step = pad.steps.find((row) => row.reading_mm === said['reading_mm']);
		return { ...pad, state: step && !step.right ? 'off' : 'set', read_text: step?.text ?? '', off_text: step?.words ?? '' };
	});
}
