import { expect, test } from 'vitest';
import { shownDegrees, typedDegrees } from './temps';

test('degrees are typed as the job measures, or as the letter says', () => {
	expect(typedDegrees('68', 'ft-in')).toBe(20);
	expect(typedDegrees('20', 'mm')).toBe(20);
	expect(typedDegrees('20 °C', 'ft-in')).toBe(20);
	expect(typedDegrees('50F', 'mm')).toBe(10);
	expect(typedDegrees(' ', 'mm')).toBeNull();
	expect(typedDegrees('warm', 'mm')).toBe('warm');
	expect([shownDegrees(20, 'ft-in'), shownDegrees(20.25, 'mm')]).toEqual(['68', '20.3']);
});
