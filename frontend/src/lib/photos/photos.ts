/** Photos of a job: those that the program has, and those that wait on this device. */
import { api } from '../api/api';
import type { RecordRow } from '../api/schema';
import { outbox } from '../outbox/outbox.svelte';
import { newId } from '../outbox/pressed';
import type { Row } from '../outbox/rows';
import type { JobStore } from '../state/job.svelte';
import { addRecord, type Wrong } from '../state/record';
import { session } from '../state/session.svelte';
import type { Place } from './shrink';

export interface PhotoSeen {
	/** of its record */
	id: string;
	photo: string;
	of: string;
	title: string;
	note: string;
	who: string;
	at: string;
	place: Place | null;
	waits: boolean;
}
interface Values {
	photo: string;
	of: string;
	title?: string;
	note?: string;
	latitude_deg?: number | null;
	longitude_deg?: number | null;
}
const seen = (id: string, values: Values, who: string, at: string, waits: boolean): PhotoSeen => ({
	id,
	photo: values.photo,
	of: values.of,
	title: values.title ?? '',
	note: values.note ?? '',
	who,
	at,
	place:
		typeof values.latitude_deg === 'number' && typeof values.longitude_deg === 'number'
			? { latitude_deg: values.latitude_deg, longitude_deg: values.longitude_deg }
			: null,
	waits
});
/** Every photo that shows, the oldest first: a correction takes the place of what it corrects, what is struck is away. */
export function photosOf(kept: readonly RecordRow[], waiting: readonly Row[]): PhotoSeen[] {
	const own = kept
		.filter((row) => row.kind === 'photo' && !row.superseded && !row.unread)
		.map((row) => seen(row.id, row.values as unknown as Values, row.who, row.at_device || row.at, false))
		.reverse();
	const here = waiting.flatMap((row) =>
		row.said.kind === 'record' && row.state === 'waiting' ? [{ row, said: row.said.record }] : []
	);
	const replaced = new Set(here.map(({ said }) => said.supersedes));
	const queued = here
		.filter(({ said }) => said.kind === 'photo')
		.map(({ row, said }) => seen(row.id, said.values as unknown as Values, row.author, row.made_at, true));
	return [...own, ...queued].filter((one, at, all) => !replaced.has(one.id) && all.findIndex((row) => row.id === one.id) === at);
}
/** Keep a picture of something: here at once, with the program as soon as it answers. */
export async function keepPhoto(
	store: JobStore,
	picture: Blob,
	of: string,
	title: string,
	place: Place | null
): Promise<boolean | Wrong> {
	const photo = newId();
	await outbox.holdPicture(photo, picture);
	return addRecord(store, 'photo', { photo, of, title, ...place }, session.who);
}
export const correctPhoto = (store: JobStore, one: PhotoSeen, note: string) =>
	addRecord(store, 'photo', { photo: one.photo, of: one.of, title: one.title, note, ...one.place }, session.who, one.id);
export const strikePhoto = (store: JobStore, one: PhotoSeen) => addRecord(store, 'struck', { why: '' }, session.who, one.id);
export const loadPhotos = (job: string) => api.records(job, 'photo');
