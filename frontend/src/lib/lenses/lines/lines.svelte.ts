/** What the program works out for the lines, for the revision that is kept: set-out, forms, cut plan, records. */
import { api } from '../../api/api';
import type { CutPlanOfJob, FormsState, RecordRow, SetOutSheet } from '../../api/schema';
import type { JobStore } from '../../state/job.svelte';
import { troubleOf } from '../../state/resource.svelte';
import { addRecord, isWrong, type Wrong } from '../../state/record';

type RecordKind = 'taped' | 'string-gaps' | 'form-levels' | 'form-back';

export class LinesData {
	setOut = $state.raw<SetOutSheet | null>(null);
	forms = $state.raw<FormsState | null>(null);
	cuts = $state.raw<CutPlanOfJob | null>(null);
	records = $state.raw<RecordRow[]>([]);
	/** records have been fetched */
	recorded = $state(false);
	/** the cut plan is being worked out */
	/** the cuts take so long that it is said */
	working = $state(false);
	share = $state(0);
	/** the cuts were let go half-way */
	gone = $state(false);
	problem = $state('');
	/** the cut piece that is lit, by its mark */
	piece = $state('');
	#asked = 0;

	constructor(readonly store: JobStore) {}
	/** Fetch all that this tab shows. */
	async load(tab: string) {
		if (!this.store.kept?.document.outline) return;
		const ask = ++this.#asked;
		this.problem = '';
		try {
			const setOut = await api.setOut(this.store.id);
			if (ask !== this.#asked) return;
			this.setOut = setOut;
			if (tab === 'forms' || tab === 'boards' || tab === 'setout') {
				this.forms = await api.forms(this.store.id);
			}
			if (tab === 'boards') await this.#cut(ask);
			if (tab === 'square' || tab === 'straight' || tab === 'forms') await this.loadRecords();
		} catch (error) {
			const found = troubleOf(error);
			if (!found.offline) this.problem = found.words;
		}
	}
	async #cut(ask: number) {
		this.gone = false;
		this.share = 0;
		const slow = setTimeout(() => (this.working = ask === this.#asked), 300);
		try {
			let got = await api.cutPlan(this.store.id);
			while (got.counting !== null && ask === this.#asked && !this.gone) {
				this.share = got.counting;
				got = await api.cutPlan(this.store.id);
			}
			if (ask === this.#asked && !this.gone) this.cuts = got.cuts;
		} finally {
			clearTimeout(slow);
			if (ask === this.#asked) this.working = false;
		}
	}
	/** Stop working out the cuts. */
	async letGo() {
		this.gone = true;
		this.working = false;
		this.cuts = null;
		await api.dropCutPlan(this.store.id);
	}
	async loadRecords() {
		this.records = (await api.records(this.store.id)).filter((row) => !row.unread);
		this.recorded = true;
	}
	/** Append a record; null when it went through, the problem's words and path otherwise. */
	async record(
		kind: RecordKind,
		values: Record<string, unknown>,
		who: string,
		supersedes: string | null = null
	): Promise<Wrong | null> {
		const got = await addRecord(this.store, kind, values, who, supersedes);
		if (isWrong(got)) return got;
		if (!got) return null;
		await this.loadRecords();
		if (kind === 'taped') await this.store.load();
		return null;
	}
}
