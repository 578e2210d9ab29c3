/** Steps of a tape under the thumb: an inch, a quarter and a sixteenth, or 25, 5 and 1 mm, each way. */
const INCH = 25.4;
const each = (sizes: readonly (readonly [number, string])[]) => [
	...sizes.map(([mm, text]) => ({ mm: -mm, label: `−${text}` })),
	...[...sizes].reverse().map(([mm, text]) => ({ mm, label: `+${text}` }))
];
export const STEPS = {
	'ft-in': each([
		[INCH, '1″'],
		[INCH / 4, '1/4'],
		[INCH / 16, '1/16']
	]),
	mm: each([
		[25, '25'],
		[5, '5'],
		[1, '1']
	])
} as const;
