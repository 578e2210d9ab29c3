/** What was said on this device and is not kept by the program yet: rows in the browser's own database, in their order. */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Keep, NewRecord } from '../api/schema';

export type Edit = Keep['edits'][number];
export type Said = { kind: 'edit'; edits: Edit[] } | { kind: 'record'; record: Omit<NewRecord, 'id' | 'revision'> };
/** waiting: goes out as soon as it can. clash: somebody changed the job meanwhile, so ask. refused: for good, with a reason. */
export type RowState = 'waiting' | 'clash' | 'refused';
export interface Row {
	/** of the edit or record, made once: the program counts it once however often it is sent */
	id: string;
	/** order of what was said */
	seq: number;
	job: string;
	/** name of the job, for lists */
	name: string;
	/** revision that the screen showed */
	base: number;
	author: string;
	made_at: string;
	said: Said;
	state: RowState;
	/** why it is not kept yet, in the program's words */
	words: string;
}

export interface Rows {
	/** whether rows outlive this page */
	lasting: boolean;
	all(): Promise<Row[]>;
	put(row: Row): Promise<void>;
	remove(id: string): Promise<void>;
	/** pictures that a row names go out before it */
	holdPicture(id: string, picture: Blob): Promise<void>;
	picture(id: string): Promise<Blob | null>;
	dropPicture(id: string): Promise<void>;
}
/** The picture that a row names. */
export function pictureOf(row: Row): string | null {
	const shows = row.said.kind === 'record' && ['photo', 'paper'].includes(row.said.record.kind);
	const photo = shows && row.said.kind === 'record' ? row.said.record.values.photo : null;
	return typeof photo === 'string' ? photo : null;
}

interface Schema extends DBSchema {
	rows: { key: string; value: Row };
	/** as bytes: not every browser keeps a Blob */
	pictures: { key: string; value: ArrayBuffer };
}

class Stored implements Rows {
	lasting = true;
	constructor(private readonly db: IDBPDatabase<Schema>) {}
	async all() {
		return (await this.db.getAll('rows')).sort((a, b) => a.seq - b.seq);
	}
	async put(row: Row) {
		await this.db.put('rows', row);
	}
	async remove(id: string) {
		await this.db.delete('rows', id);
	}
	async holdPicture(id: string, picture: Blob) {
		await this.db.put('pictures', await picture.arrayBuffer(), id);
	}
	async picture(id: string) {
		const bytes = await this.db.get('pictures', id);
		return bytes ? new Blob([bytes], { type: 'image/jpeg' }) : null;
	}
	async dropPicture(id: string) {
		await this.db.delete('pictures', id);
	}
}

/** Where the browser refuses a database: as long as the page lives. */
export class OnPage implements Rows {
	lasting = false;
	readonly #rows = new Map<string, Row>();
	readonly #pictures = new Map<string, Blob>();
	async all() {
		return [...this.#rows.values()].sort((a, b) => a.seq - b.seq);
	}
	async put(row: Row) {
		this.#rows.set(row.id, row);
	}
	async remove(id: string) {
		this.#rows.delete(id);
	}
	async holdPicture(id: string, picture: Blob) {
		this.#pictures.set(id, picture);
	}
	async picture(id: string) {
		return this.#pictures.get(id) ?? null;
	}
	async dropPicture(id: string) {
		this.#pictures.delete(id);
	}
}

export async function openRows(): Promise<Rows> {
	try {
		return new Stored(
			await openDB<Schema>('humble-trowel', 2, {
				upgrade: (db, from) => {
					if (from < 1) db.createObjectStore('rows', { keyPath: 'id' });
					db.createObjectStore('pictures');
				},
				blocking: (_now, _next, event) => (event.target as IDBDatabase).close()
			})
		);
	} catch {
		return new OnPage();
	}
}

let last = 0;
/** A number above every one before it, on this device. */
export function nextSeq(): number {
	last = Math.max(last + 1, Date.now() * 1000);
	return last;
}
