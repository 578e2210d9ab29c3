/** Who this device is to the laptop: its own, one that joined, or nobody yet. */
import { api } from '../api/api';
import { asked } from '../api/client';
import { forgetSeen } from '../api/seen';
import type { Me } from '../api/schema';
import { session } from '../state/session.svelte';
import { events } from './events.svelte';

class Self {
	me = $state.raw<Me | null>(null);
	/** it was in, and is no more */
	out = $state(false);

	constructor() {
		asked.out = () => void this.load();
	}
	/** may see prices and change ways */
	get owns(): boolean {
		return this.me === null || this.me.role === 'owner';
	}
	get looks(): boolean {
		return this.me?.role === 'looker';
	}
	/** must join before anything is shown */
	get outside(): boolean {
		return this.me !== null && this.me.role === null;
	}
	async load(): Promise<void> {
		try {
			const was = this.me?.role ?? null;
			this.me = await api.me();
			if (was && !this.me.role) this.out = true;
			if (this.me.role) {
				this.out = false;
				if (this.me.device) session.setWho(this.me.name);
				events.start();
			} else events.stop();
		} catch {
			/* no answer: what was known stays; the stream tries by itself */
			if (this.me === null || this.me.role) events.start();
		}
	}
	async leave(): Promise<void> {
		await api.leave().catch(() => undefined);
		events.stop();
		await forgetSeen();
		await this.load();
		this.out = false;
	}
}

export const self = new Self();
