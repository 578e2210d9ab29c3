/** One round of taped measures: rows as typed, the answer that they give, and keeping the round. */
import { typedLength } from '../../ui/typed';
import { api } from '../../api/api';
import { troubleOf } from '../../state/resource.svelte';
import type { SquareAnswer } from '../../api/schema';
import { cornerName } from '../../drawing/pick.svelte';
import { session } from '../../state/session.svelte';
import type { LinesData } from './lines.svelte';

/** A corner, or a mark on a side; at_mm may still be text as typed. */
export type End = number | { side: number; at_mm: number | string };
type Named = number | string;
type NamedEnd = Named | { side: Named; at_mm: number | string };
export interface Row {
	from: End;
	to: End;
	typed: string;
	should: string;
	/** a laser-square reading: off the line through `line`, instead of a tape */
	line?: [number, number];
}

const same = (a: End, b: End) => JSON.stringify(a) === JSON.stringify(b);
const pairIs = (row: Row, a: End, b: End) =>
	!row.line && ((same(row.from, a) && same(row.to, b)) || (same(row.from, b) && same(row.to, a)));

export class SquareBox {
	rows = $state<Row[]>([]);
	hold = $state<[number, number]>([0, 1]);
	answer = $state.raw<SquareAnswer | null>(null);
	problem = $state.raw<{ words: string; row: number; choices: string[] } | null>(null);
	kept = $state('');
	/** id of the round that the next one corrects */
	corrects = $state<string | null>(null);
	/** what the numbers in the rows stand for: the corners as they were when the rows were made */
	ids = $state.raw<string[]>([]);
	#typing = $state(false);
	#ask = 0;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly data: LinesData) {}
	/** Whether readings are typed here that no record holds yet. */
	get units() {
		return this.data.store.units;
	}
	get unkept(): boolean {
		return this.#typing && !this.kept && this.rows.some((row) => row.typed.trim());
	}
	/** Readings that were typed before this store was left. */
	bringBack(rows: Row[], hold: [number, number], ids: string[] = this.#corners) {
		[this.rows, this.hold, this.ids, this.#typing] = [rows, hold, ids, true];
		void this.refresh();
	}
	get #outline() {
		return this.data.store.kept?.figure.outline ?? null;
	}
	get #corners(): string[] {
		return this.data.store.kept?.document.corner_ids ?? [];
	}
	get corners() {
		return this.#outline?.sides.length ?? 0;
	}
	/** This job's own tolerance as typed, '' where the crew's holds. */
	get ownTolerance(): string {
		const mm = this.data.store.kept?.document.ways?.tolerance_mm;
		return mm ? typedLength(mm, this.data.store.units) : '';
	}
	setTolerance(typed: string): Promise<boolean> {
		return this.data.store.keep([{ op: 'set_fields', values: { 'ways.tolerance_mm': typed.trim() || null } }], 'tolerance');
	}
	get sideNames() {
		return this.#outline?.sides.map((side) => side.name) ?? [];
	}
	nameOf(end: End): string {
		if (typeof end === 'number') return cornerName(end);
		const found = this.data.setOut?.squares.flatMap((q) =>
			q.measures.flatMap((m, i) => [
				{ end: m['from'], name: q.ends[i]?.from },
				{ end: m['to'], name: q.ends[i]?.to }
			])
		);
		return (
			found?.find((one) => same(one.end as End, end))?.name ??
			`mark ${typeof end.at_mm === 'string' ? `${end.at_mm} ` : ''}along ${this.#outline?.sides[end.side]?.name}`
		);
	}
	/** Sides, then the diagonals of the largest rectangles: the rows a crew would tape. */
	fill() {
		const sides = this.#outline?.sides ?? [];
		const n = sides.length;
		const rows: Row[] = sides.map((side, i) => ({ from: i, to: (i + 1) % n, typed: '', should: side.text }));
		for (const square of this.data.setOut?.squares.slice(0, 4) ?? []) {
			for (const m of square.measures) {
				const [from, to] = [m['from'] as End, m['to'] as End];
				if (!rows.some((row) => pairIs(row, from, to))) rows.push({ from, to, typed: '', should: square.diagonal_text });
			}
		}
		this.rows = rows;
		this.ids = this.#corners;
		this.hold = this.#held();
	}
	#held(): [number, number] {
		const side = this.data.store.kept?.document.set_out?.hold_side ?? 0;
		return [side, (side + 1) % (this.corners || 1)];
	}
	shouldOf(from: End, to: End): string {
		if (typeof from !== 'number' || typeof to !== 'number') return '';
		const side = this.#outline?.sides[Math.abs(from - to) === 1 ? Math.min(from, to) : Math.max(from, to)];
		if (Math.abs(from - to) === 1 || Math.abs(from - to) === this.corners - 1) return side?.text ?? '';
		return this.#outline?.diagonals.find((d) => (d.from === from && d.to === to) || (d.from === to && d.to === from))?.text ?? '';
	}
	add(from: End, to: End) {
		const at = this.rows.findIndex((row) => pairIs(row, from, to));
		if (at < 0) this.rows.push({ from, to, typed: '', should: this.shouldOf(from, to) });
		return at < 0 ? this.rows.length - 1 : at;
	}
	addOffset(to: number) {
		this.rows.push({ from: this.hold[0], to, typed: '', should: '', line: [...this.hold] });
	}
	/** Bring a kept round back into the rows. */
	load(values: Record<string, unknown>, shown: string[], corrects: string | null = null) {
		this.corrects = corrects;
		this.fill();
		this.hold = this.#pair(values['hold'] as [Named, Named] | undefined) ?? this.hold;
		const measures = (values['measures'] ?? []) as { kind?: string; from?: NamedEnd; to: NamedEnd; line?: [Named, Named] }[];
		measures.forEach((m, i) => {
			const to = this.#placed(m.to);
			const line = this.#pair(m.line);
			const from = line ? line[0] : this.#placed(m.from ?? 0);
			if (to === null || from === null) return;
			if (line) this.rows.push({ from, to, typed: shown[i] ?? '', should: '', line });
			else {
				const row = this.rows[this.add(from, to)];
				if (row) row.typed = shown[i] ?? '';
			}
		});
		void this.solve();
	}
	type(row: number, text: string) {
		const at = this.rows[row];
		if (at) at.typed = text;
		this.#typing = true;
		this.kept = '';
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.solve(), 250);
	}
	get filled() {
		return this.rows.map((row, i) => ({ row, i })).filter(({ row }) => row.typed.trim());
	}
	#values() {
		const measures = this.filled.map(({ row }) =>
			row.line
				? { kind: 'offset', line: row.line.map((at) => this.#named(at)), at_mm: 0, off_mm: row.typed, to: this.#named(row.to) }
				: { from: this.#named(row.from), to: this.#named(row.to), mm: row.typed }
		);
		return { hold: this.hold.map((at) => this.#named(at)), measures };
	}
	/** A corner or mark as it is sent: by its id, which means the same when corners come and go meanwhile. */
	#named(end: End): NamedEnd {
		if (typeof end === 'number') return this.ids[end] ?? end;
		return { ...end, side: this.ids[end.side] ?? end.side };
	}
	/** Where a corner or mark on record stands now; null where it is gone. */
	#placed(end: NamedEnd): End | null {
		if (typeof end === 'number') return end;
		const at = this.#corners.indexOf(typeof end === 'string' ? end : `${end.side}`);
		if (typeof end === 'string') return at < 0 ? null : at;
		return typeof end.side === 'number' ? { ...end, side: end.side } : at < 0 ? null : { ...end, side: at };
	}
	#pair(pair: [Named, Named] | undefined): [number, number] | undefined {
		const places = pair?.map((end) => this.#placed(end));
		return places?.every((at) => typeof at === 'number') ? (places as [number, number]) : undefined;
	}
	async solve() {
		const ask = ++this.#ask;
		const filled = this.filled;
		this.problem = null;
		if (!filled.length) return void (this.answer = null);
		try {
			const got = await api.square(this.data.store.id, { values: this.#values() });
			if (ask === this.#ask) this.answer = got;
		} catch (error) {
			const found = troubleOf(error);
			if (ask !== this.#ask || found.offline) return;
			this.#wrong(found.words, found.path);
			this.answer = null;
		}
	}
	#wrong(words: string, path: string) {
		const at = this.filled[Number(path.match(/measures\[(\d+)\]/)?.[1] ?? -1)];
		const typed = at?.row.typed.trim() ?? '';
		this.problem = { words, row: at?.i ?? -1, choices: words.endsWith('what?') ? [`${typed}'`, `${typed}"`] : [] };
	}
	/** Said at once, before anything is asked: leaving the screen or a lost signal takes nothing away. */
	async keep() {
		if (!this.filled.length) return;
		const said = this.data.record('taped', this.#values(), session.who, this.corrects);
		clearTimeout(this.#timer);
		const solved = this.solve();
		const wrong = await said;
		await solved;
		if (wrong) this.#wrong(wrong.words, wrong.path);
		else {
			this.kept = 'Round kept.';
			this.corrects = null;
		}
	}
	/** The outline has changed: new rows where its corners did, else the same readings against it. */
	async refresh() {
		const typed = this.rows.filter((row) => row.typed.trim());
		const named = typed.map((row) => ({
			row,
			from: this.#named(row.from),
			to: this.#named(row.to),
			line: row.line?.map((at) => this.#named(at)) as [Named, Named] | undefined
		}));
		const hold = this.hold.map((at) => this.#named(at)) as [Named, Named];
		this.fill();
		this.hold = this.#pair(hold) ?? this.hold;
		for (const { row, ...was } of named) {
			const [from, to, line] = [this.#placed(was.from), this.#placed(was.to), this.#pair(was.line)];
			if (from === null || to === null || (was.line && !line)) continue;
			if (line) this.rows.push({ ...row, from, to, line });
			else {
				const at = this.rows[this.add(from, to)];
				if (at) at.typed = row.typed;
			}
		}
		await this.solve();
	}
	/** Change the plan to the frame as it stands, where the crew would rather live with it. */
	async planAsLaid() {
		const ring = (this.answer?.squared.laid_mm ?? []).flatMap((spot) => (spot ? [spot as [number, number]] : []));
		await this.data.store.keep([{ op: 'accept_laid', ring }], 'square');
	}
	/** What a filled row came to: 'agrees', '1/4″ long'; '' while nothing is known of it. */
	resultOf(index: number): string {
		const order = this.filled.map(({ i }) => i);
		const at = order.indexOf(index);
		const squared = this.answer?.squared;
		if (at < 0 || !squared) return '';
		const suspectAt = squared.suspect ? this.#suspectRow() : -1;
		if (index === suspectAt) return 'left out';
		const before = order.slice(0, at).includes(suspectAt) ? at - 1 : at;
		return squared.residuals[before]?.text ?? '';
	}
	#suspectRow(): number {
		const s = this.answer?.squared.suspect as { from?: End; to?: End; line?: [number, number] } | null | undefined;
		if (!s) return -1;
		return this.rows.findIndex(
			(row) => row.typed.trim() && (s.line ? !!row.line && same(row.to, s.to ?? 0) : pairIs(row, s.from ?? 0, s.to ?? 0))
		);
	}
}
