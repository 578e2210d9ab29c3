/** Words of the foam on a face, fetched with the cut. */
export const foamWords = {
	foamSide: 'foam is',
	foamSides: { outside: 'outside the outline', inside: 'inside the outline' },
	foamFaces: { foam_past_mm: 'down past it', cut_back_mm: 'top cut back', cut_back_high_mm: 'cut how high' }
} as const;
