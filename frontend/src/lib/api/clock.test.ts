/** A device whose clock is wrong writes down the time of the program. */
import { expect, it } from 'vitest';
import { clock } from './clock.svelte';

const at = (iso: string) => Date.parse(iso);
it('believes an answer where it differs by minutes, and itself where it does not', () => {
	clock.heard('Thu, 17 Jun 2027 11:04:00 GMT', at('2027-06-17T12:04:10Z'));
	expect([clock.off_ms, clock.ahead_min]).toEqual([-3_610_000, 60]);
	expect(Math.abs(clock.now().getTime() - (Date.now() - 3_610_000))).toBeLessThan(50);
	clock.heard('Thu, 17 Jun 2027 11:05:00 GMT', at('2027-06-17T12:05:12Z'));
	expect(clock.off_ms).toBe(-3_610_000); // the road of an answer moves nothing
	clock.heard('soon', 0);
	clock.heard(null, 0);
	expect(clock.ahead_min).toBe(60);
	clock.heard('Thu, 17 Jun 2027 11:05:00 GMT', at('2027-06-17T11:05:40Z'));
	expect([clock.off_ms, clock.ahead_min]).toEqual([0, -0]);
});
