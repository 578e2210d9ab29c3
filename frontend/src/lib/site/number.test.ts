import { expect, test } from 'vitest';
import { afterJoin, shownNumber, tokenOf, typedDigits } from './number';

test('a number is shown in two threes and typed with whatever stands between', () => {
	expect([shownNumber('741902'), shownNumber('741'), shownNumber('7419')]).toEqual(['741 902', '741', '741 9']);
	expect([typedDigits('741 902'), typedDigits('7-4-1.9029'), typedDigits('abc')]).toEqual(['741902', '741902', '']);
});
test('a link keeps its token behind the #, and nothing else is one', () => {
	expect(tokenOf('#look=abcdefghij_klmnopq-rst')).toBe('abcdefghij_klmnopq-rst');
	expect([tokenOf('#look=short'), tokenOf('#look=<script>aaaaaaaaaaaaaaaaaaaaa'), tokenOf('')]).toEqual(['', '', '']);
});
test('after joining somebody goes to a page of ours and nowhere else', () => {
	expect(afterJoin('/job/87a541/gate?tab=walk')).toBe('/job/87a541/gate?tab=walk');
	for (const bad of [
		'//evil.example',
		['https:', '', 'evil.example'].join('/'),
		'/\\evil',
		'/api/site/leave',
		'/job/../../x',
		null
	])
		expect(afterJoin(bad)).toBe('/');
});
