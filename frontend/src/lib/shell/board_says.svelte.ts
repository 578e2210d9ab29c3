/** What the open lens has the board say beside its numbers. */
export const boardSays = $state({
	/** the next thing that holds the pour */
	hold: ''
});
