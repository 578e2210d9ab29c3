/** Two versions of a slab, where an edit of this device met another's: looked at on the drawing, and one of them taken. */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import type { Outbox } from '../outbox/outbox.svelte';
import { type JobStore, noAnswer } from './job.svelte';

export class Versions {
	/** the outline of the version that is not looked at, dashed on the sheet */
	versus = $state.raw<[number, number][]>([]);

	constructor(
		private readonly store: JobStore,
		private readonly box: Outbox
	) {}
	/** Look at one of them: mine as it was said on what I saw, or theirs. */
	async look(which: 'mine' | 'theirs') {
		const { store } = this;
		const [clash, head] = [store.clash, this.box.headOf(store.id)];
		if (!clash || !head || clash.said.kind !== 'edit') return;
		try {
			const edits = store.waiting.flatMap((row) => (row.said.kind === 'edit' && row.state !== 'refused' ? row.said.edits : []));
			const body = { revision: clash.base, edits, every_diagonal: false, quick: true, numbers: false };
			const mine = await api.draft(store.id, body);
			const theirs = { document: head.document, figure: head.figure, summary: head.summary };
			store.draft = which === 'mine' ? mine : theirs;
			this.versus = (which === 'mine' ? theirs : mine).document.outline ?? [];
		} catch (error) {
			if (!(error instanceof ApiProblem || error instanceof Offline)) throw error;
			store.problem = error instanceof ApiProblem ? error.problem : noAnswer();
			store.problemAt = 'clash';
		}
	}
	/** Take the other's and put the own edits on top of it, in their order. */
	async reapply() {
		const head = this.box.headOf(this.store.id) ?? this.store.kept;
		if (!head || !this.store.clash) return;
		this.store.kept = head;
		this.store.dropDraft();
		await this.box.onTop(this.store.id, head.revision);
	}
	/** Take the other's and let the own edit go. */
	async takeTheirs() {
		const [clash, head] = [this.store.clash, this.box.headOf(this.store.id)];
		if (!clash) return;
		if (head) this.store.takeHead(head);
		this.store.dropDraft();
		await this.box.letGo(clash.id);
	}
	clear() {
		this.versus = [];
	}
}
