/** Boards that a crew owns, as one line of lengths. */
const FT = 304.8;

/** 7′, 14′, 3.6 m: whole feet where they are, else metres. */
export const boardsText = (mm: readonly number[]): string =>
	mm
		.map((one) =>
			Math.abs(one / FT - Math.round(one / FT)) < 0.01 ? `${Math.round(one / FT)}'` : `${+(one / 1000).toFixed(3)} m`
		)
		.join(', ');

/** Lengths as they are sent. A bare number is feet, as boards are called. */
export const boardsOf = (typed: string): string[] =>
	typed
		.split(/[,;]/)
		.map((one) => one.trim().replaceAll('′', "'"))
		.filter(Boolean)
		.map((one) => (/^\d+(\.\d+)?$/.test(one) ? `${one}'` : one));
