/** Edits of the slab's shape with what is not said left as the program has it. */
import type { AddPads, SetPiles, TakeOut } from '../../api/schema';
import type { Edit } from '../../state/job.svelte';

export const addPads = (type: string, said: Partial<AddPads>): Edit => ({
	op: 'add_pads',
	type,
	at: [],
	text: '',
	crossings: false,
	bays_x: '',
	bays_y: '',
	turn_deg: 0,
	inside: false,
	...said
});
export const setPiles = (said: Partial<SetPiles>): Edit => ({
	op: 'set_piles',
	name: '',
	at: [],
	text: '',
	pads: false,
	...said
});
export const takeOut = (what: TakeOut['what'], ids: string[]): Edit => ({ op: 'take_out', what, ids });
export const takeOutType = (what: 'beam_types' | 'pad_types', mark: string): Edit => ({ op: 'take_out', what, mark, ids: [] });
