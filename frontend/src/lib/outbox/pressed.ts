/**
 * The id of what is said is born once: the same content pressed again, after an answer that never came or a reload, goes
 * under the id it had, so that the program counts it once. It is forgotten once its own form heard that it is kept, or
 * once something else was said.
 */
const KEY = (job: string) => `pressed:${job}`;
interface Pressed {
	id: string;
	text: string;
	/** the program has it; its form may not know */
	kept: boolean;
}

function read(job: string): Pressed[] {
	try {
		return JSON.parse(sessionStorage.getItem(KEY(job)) ?? '[]') as Pressed[];
	} catch {
		return [];
	}
}
function write(job: string, rows: Pressed[]): void {
	try {
		if (rows.length) sessionStorage.setItem(KEY(job), JSON.stringify(rows));
		else sessionStorage.removeItem(KEY(job));
	} catch {
		/* then a press after a reload gets an id of its own */
	}
}

/** The id under which this content goes out. */
export function idOf(job: string, content: unknown): string {
	const text = JSON.stringify(content);
	const rows = read(job);
	const same = rows.find((row) => row.text === text);
	if (same) return same.id;
	const id = newId();
	write(job, [...rows.filter((row) => !row.kept), { id, text, kept: false }]);
	return id;
}
/** The program has it. */
export const noteKept = (job: string, id: string): void =>
	write(
		job,
		read(job).map((row) => (row.id === id ? { ...row, kept: true } : row))
	);
/** Its form heard of it, or it was refused or let go: said again it is another. */
export const forgetId = (job: string, id: string): void =>
	write(
		job,
		read(job).filter((row) => row.id !== id)
	);

/** A random id, also where the page came over plain http. */
export function newId(): string {
	const { randomUUID } = crypto as { randomUUID?: () => string };
	if (randomUUID) return randomUUID.call(crypto);
	const bits = crypto.getRandomValues(new Uint8Array(16));
	return [...bits].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}
