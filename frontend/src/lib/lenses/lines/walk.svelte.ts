/** The call-out box: what is typed, what the program heard, and keeping it as typed. */
import { api } from '../../api/api';
import type { HeardWalk } from '../../api/schema';
import type { Edit, JobStore } from '../../state/job.svelte';
import type { XY } from '../../drawing/viewport';

export type WalkKind = 'outline' | 'zone' | 'opening';

export class WalkBox {
	kind = $state<WalkKind>('outline');
	text = $state('');
	zoneName = $state('');
	zoneDrop = $state('');
	heard = $state.raw<HeardWalk | null>(null);
	#latest = 0;
	#saver: ReturnType<typeof setTimeout> | undefined;

	constructor(readonly store: JobStore) {
		const kept = store.kept?.document.walk;
		if (kept) {
			this.text = kept.text;
			this.kind = kept.kind;
			void this.listen();
		} else if (store.kept?.document.outline) this.kind = 'zone';
	}

	/** Change what is walked. The outline begins as it stands, so that one call can be changed. */
	choose(kind: WalkKind) {
		this.kind = kind;
		const calls = this.store.kept?.figure.outline?.sides.map((side) => side.call).join('  ') ?? '';
		if (kind === 'outline' && !this.text.trim() && calls) this.text = calls;
		else if (kind !== 'outline' && this.text === calls) this.text = '';
		void this.listen();
	}

	get ghost(): XY[] {
		return this.heard && this.text.trim() ? this.heard.walked.points : [];
	}
	get ready(): boolean {
		const walked = this.heard?.walked;
		if (!walked || walked.heard.problem || !this.text.trim()) return false;
		if (this.kind === 'zone') return walked.closed || this.heard?.lands !== '';
		return walked.closed;
	}

	type(text: string) {
		this.text = text;
		this.store.clearProblem();
		void this.listen();
		clearTimeout(this.#saver);
		this.#saver = setTimeout(() => void this.saveAsTyped(), 900);
	}
	/** the newest text that is being heard */
	#hearing: Promise<void> = Promise.resolve();
	listen(): Promise<void> {
		return (this.#hearing = this.#listen());
	}
	/** Enter: kept where it closes, once it is heard; else as it stands. */
	async enter() {
		await this.#hearing;
		await (this.ready ? this.keep() : this.saveAsTyped());
	}
	async #listen() {
		const ask = ++this.#latest;
		try {
			const got = await api.walk(this.store.id, this.text);
			if (ask === this.#latest) this.heard = got;
		} catch {
			/* the text stays; it is heard again with the next key */
		}
	}
	/** Keep an unfinished walk as it stands. */
	async saveAsTyped() {
		const kept = this.store.kept?.document.walk?.text ?? '';
		if (this.text === kept || this.store.busy) return;
		await this.store.keep([{ op: 'set_walk', kind: this.kind, text: this.text }], 'walk');
	}
	/** Take an offered text; keep it at once when it closes. */
	async take(text: string) {
		this.type(text);
	}
	async keep(): Promise<boolean> {
		clearTimeout(this.#saver);
		const done = await this.store.keep([this.#edit()], 'walk');
		if (done) this.#empty();
		return done;
	}
	#edit(): Edit {
		if (this.kind === 'outline') return { op: 'keep_outline', text: this.text };
		if (this.kind === 'opening') return { op: 'add_opening', text: this.text };
		return { op: 'walk_zone', text: this.text, name: this.zoneName, drop: this.zoneDrop || 0 };
	}
	async forget() {
		clearTimeout(this.#saver);
		this.#empty();
		if (this.store.kept?.document.walk) await this.store.keep([{ op: 'set_walk', kind: this.kind, text: '' }], 'walk');
	}
	#empty() {
		this.text = '';
		this.zoneName = '';
		this.zoneDrop = '';
		this.heard = null;
	}
}
