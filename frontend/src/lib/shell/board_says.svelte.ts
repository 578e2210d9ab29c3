/** What the open lens has the board say beside its numbers. */
export const boardSays = $state({
	/** the next thing that holds the pour */
	hold: '',
	/** the next act of the pour, and when */
	next: null as { act: string; when: string } | null,
	/** what is in the forms, and the last truck */
	pour: null as { placed: string; of: string; last: string; by: string } | null
});
