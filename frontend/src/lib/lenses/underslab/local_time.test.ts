import { expect, test } from 'vitest';
import { minutesSince, wallClock } from './local_time';

test('the clock on the wall is written without a zone and read back to the minute', () => {
	const now = new Date(2026, 5, 14, 9, 40, 5);
	expect(wallClock(now)).toBe('2026-06-14T09:40:05');
	expect(wallClock(now, 15)).toBe('2026-06-14T09:55:05');
	expect(minutesSince(wallClock(now), new Date(2026, 5, 14, 9, 49, 4))).toBe(8);
	expect(minutesSince(wallClock(now, 30), now)).toBe(0);
});
