/** What a phone will want where there is no signal, asked for while there is: each stage of the open slab as its tab asks. */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import { today } from '../ui/days';

const edits: [] = [];
const ASKS: ((id: string) => Promise<unknown>)[] = [
	() => api.yard(),
	(id) => api.ground(id, 'base'),
	(id) => api.gate(id, { edits, today: today(), tab: 'holds', days: true }),
	(id) => api.pour(id, null),
	(id) => api.pourAhead(id),
	(id) => api.cure(id, { at: null, blankets: [] }),
	(id) => api.built(id),
	(id) => api.embeds(id, { edits }),
	(id) => api.underslab(id, { edits }),
	(id) => api.screed(id, { edits }),
	(id) => api.steel(id, { edits }),
	(id) => api.setOut(id),
	(id) => api.records(id)
];
const done = new Set<string>();

/** Once for each state of a job; one after the other, so that nobody waits for it. */
export async function askAhead(id: string, state: string): Promise<void> {
	if (done.has(`${id} ${state}`)) return;
	done.add(`${id} ${state}`);
	for (const ask of ASKS) {
		try {
			await ask(id);
		} catch (error) {
			if (error instanceof Offline) return void done.delete(`${id} ${state}`);
			if (!(error instanceof ApiProblem)) throw error;
		}
	}
}
