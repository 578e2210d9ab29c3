/** Answers as they were last seen, so that plan and cut can be looked at without an answer. */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

const MOST = 400;
export interface Seen {
	key: string;
	at: number;
	body: unknown;
}
interface Schema extends DBSchema {
	answers: { key: string; value: Seen; indexes: { at: number } };
}
let db: Promise<IDBPDatabase<Schema> | null> | undefined;
const open = () =>
	(db ??=
		typeof indexedDB === 'undefined'
			? Promise.resolve(null)
			: openDB<Schema>('humble-trowel-seen', 1, {
					upgrade: (made) => made.createObjectStore('answers', { keyPath: 'key' }).createIndex('at', 'at')
				}).catch(() => null));

/** What is asked again and again while something works is not worth keeping, nor what belongs to the laptop alone. */
export const worthSeeing = (verb: string, path: string) =>
	(verb === 'get' && !/^\/api\/(readings|site\/(?!me)|health)/.test(path)) ||
	(verb === 'post' && /\/(order|day|steel|screed|joints|embeds|underslab|gate|pour|cure|section)$/.test(path));
const later = (act: () => void) =>
	'requestIdleCallback' in globalThis ? requestIdleCallback(act, { timeout: 2000 }) : setTimeout(act, 200);

let writes = 0;
/** Keep an answer, when the hand rests. */
export function keepSeen(key: string, body: unknown): void {
	if (typeof indexedDB === 'undefined') return;
	later(() => void write({ key, at: Date.now(), body }));
}
async function write(seen: Seen): Promise<void> {
	const own = await open();
	if (!own) return;
	try {
		await own.put('answers', seen);
		if (++writes % 50 === 0) await trim(own);
	} catch {
		/* no room: what is seen now stays on the screen */
	}
}
async function trim(own: IDBPDatabase<Schema>): Promise<void> {
	const over = (await own.count('answers')) - MOST;
	if (over <= 0) return;
	const old = await own.getAllKeysFromIndex('answers', 'at', null, over);
	for (const key of old) await own.delete('answers', key);
}
/** The answer as it was last seen, null where it never was. */
export async function lastSeen(key: string): Promise<Seen | null> {
	try {
		return (await (await open())?.get('answers', key)) ?? null;
	} catch {
		return null;
	}
}
/** Forget everything, when somebody leaves. */
export async function forgetSeen(): Promise<void> {
	await (await open())?.clear('answers');
}
