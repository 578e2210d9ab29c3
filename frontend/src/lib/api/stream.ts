/** The one stream of changes that a device listens to. */
export interface Told {
	kind: string;
	data: Record<string, unknown>;
}
const KINDS = ['hello', 'job', 'yard', 'here', 'site', 'me', 'out'];
/** Listen; `last` is the last event that was heard before. Returns how to stop. */
export function listen(last: string, hear: (told: Told, id: string) => void, reached: (yes: boolean) => void): () => void {
	const source = new EventSource(`/api/site/stream${last ? `?last=${encodeURIComponent(last)}` : ''}`);
	for (const kind of KINDS)
		source.addEventListener(kind, (event) => {
			const { data, lastEventId } = event as MessageEvent<string>;
			hear({ kind, data: JSON.parse(data) as Told['data'] }, lastEventId);
		});
	source.onopen = () => reached(true);
	source.onerror = () => reached(false);
	return () => source.close();
}
