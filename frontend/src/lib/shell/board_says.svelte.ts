/** What the open lens has the board say beside its numbers. */
export const boardSays = $state({
	/** the next thing that holds the pour */
	hold: '',
	/** the next act of the pour, and when */
	next: null as { act: string; when: string } | null,
	/** what is in the forms, and the last truck */
	/** the order of the next job like it, and what is kept of this one */
	lessons: null as { was: string; would: string; unit: string; over: string; next: string; taken: string; kept: string } | null,
	/** when it may be built on */
	build: '',
	pour: null as { placed: string; of: string; last: string; by: string } | null
});
