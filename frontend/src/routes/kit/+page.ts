/** The parts on one page, for those who build the program; not there in what ships. */
import { error } from '@sveltejs/kit';

export const load = () => {
	if (!import.meta.env.DEV) error(404, 'No such page.');
};
