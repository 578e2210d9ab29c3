/** What the Embeds lens looks at: walls, bolts and the rest with what is being tried, what is held, what waits to be kept. */
import { api } from '../../api/api';
import type { BoltTold, EmbedsState, ItemTold, WallTold } from '../../api/schema';
import { outbox } from '../../outbox/outbox.svelte';
import type { JobStore } from '../../state/job.svelte';
import { Resource } from '../../state/resource.svelte';
import { tried } from '../../state/tried';

export class EmbedsData {
	readonly #state: Resource<EmbedsState>;
	#wall = $state('');
	#bolt = $state(0);
	#item = $state('');
	/** where a group will stand, mm on the plan */
	spot = $state.raw<readonly [number, number] | null>(null);

	constructor(readonly store: JobStore) {
		this.#state = tried(store, api.embeds);
	}

	/** what the program has and this screen has not read again yet: without a signal that may take a while */
	#kept = $state.raw<Record<string, unknown>[]>([]);

	async load() {
		if (!this.store.kept?.document.outline) return;
		const read = this.#kept;
		if (await this.#state.load()) this.#kept = this.#kept.filter((row) => !read.includes(row));
	}
	/** A record was kept: it counts here from now on. */
	noteKept(values: Record<string, unknown>) {
		this.#kept = [...this.#kept, values];
	}
	/** hours of the set clock, '' until the day is worked out */
	get day(): string {
		return this.#state.value?.day ?? '';
	}
	get problem() {
		return this.#state.problem;
	}
	get found() {
		return this.#state.value?.embeds ?? null;
	}
	get others() {
		return this.#state.value?.others ?? [];
	}
	get findings() {
		return this.#state.value?.findings ?? [];
	}
	get walls(): WallTold[] {
		return this.found?.walls ?? [];
	}
	get bolted() {
		return this.walls.filter((wall) => wall.bolts.length);
	}
	get wall(): WallTold | null {
		return this.walls.find((wall) => wall.id === this.#wall) ?? this.worst ?? this.bolted[0] ?? this.walls[0] ?? null;
	}
	/** the wall with a bolt that breaks a rule */
	get worst() {
		return this.walls.find((wall) => wall.bolts.some((bolt) => !bolt.ok && !bolt.kept));
	}
	get bolt(): BoltTold | null {
		const rows = this.wall?.bolts ?? [];
		return rows.find((row) => row.n === this.#bolt) ?? rows.find((row) => !row.ok && !row.kept) ?? rows[0] ?? null;
	}
	hold(wall: string, bolt = 0) {
		[this.#wall, this.#bolt] = [wall, bolt];
	}
	/** Bolt to bolt, along the wall. */
	step(by: number) {
		const [wall, bolt] = [this.wall, this.bolt];
		const next = wall?.bolts.find((row) => row.n === (bolt?.n ?? 0) + by);
		if (wall && next) this.hold(wall.id, next.n);
	}
	/** every thing to set, with what was said here and is not kept yet */
	get items(): ItemTold[] {
		const waiting = outbox
			.of(this.store.id)
			.flatMap((row) => (row.said.kind === 'record' && row.said.record.kind === 'embed-set' ? [row.said.record.values] : []));
		return withWaiting(this.found?.items ?? [], [...this.#kept, ...waiting]);
	}
	get item(): ItemTold | null {
		const rows = this.items;
		return rows.find((row) => row.key === this.#item) ?? rows.find((row) => row.state === 'open') ?? rows[0] ?? null;
	}
	holdItem(key: string) {
		this.#item = key;
	}
	/** what is to set after this one */
	after(item: ItemTold): ItemTold | null {
		const rows = this.items;
		const at = rows.findIndex((row) => row.key === item.key);
		return [...rows.slice(at + 1), ...rows.slice(0, at)].find((row) => row.state === 'open') ?? null;
	}
}

const SAME_MM = 3;
/** Things to set, as they are once what waits on this device is kept. */
export function withWaiting(items: readonly ItemTold[], waiting: readonly Record<string, unknown>[]): ItemTold[] {
	return items.map((item) => {
		const said = waiting.findLast(
			(row) =>
				row['of'] === item.of &&
				(item.at_mm === null || (typeof row['at_mm'] === 'number' && Math.abs(row['at_mm'] - item.at_mm) <= SAME_MM))
		);
		return said ? { ...item, state: said['is_set'] === false ? 'cannot' : 'set', why: String(said['why'] ?? '') } : item;
	});
}
