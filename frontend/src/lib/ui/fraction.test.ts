import { expect, test } from 'vitest';
import { built } from './fraction';

test('fractions are taken apart, whole numbers stay', () => {
	expect(built('24′-6 1/2″')).toEqual(['24′-6', { over: '1', under: '2' }, '″']);
	expect(built('1/4″')).toEqual([{ over: '1', under: '4' }, '″']);
	expect(built('7480 mm')).toEqual(['7480 mm']);
	expect(built('9, 9 and 5 1/2.')).toEqual(['9, 9 and 5', { over: '1', under: '2' }, '.']);
});
