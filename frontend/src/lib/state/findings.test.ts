import { expect, test } from 'vitest';
import type { Finding } from '../api/schema';
import { alike, forOrder, onTab } from './findings';

const one = (code: string, severity: Finding['severity'], tabs: string[], changes_order = true): Finding => ({
	code,
	severity,
	where: '',
	words: '',
	remedy: '',
	source: '',
	stage: '',
	tabs,
	changes_order
});
const rows = [
	one('stack-in-air', 'stop', ['stack']),
	one('found-not-set', 'note', ['stack', 'stone'], false),
	one('form-tall', 'stop', ['forms'], false),
	one('kicker-full', 'check', ['forms'], false),
	one('last-load-short', 'check', [])
];

test('a finding stands on its tabs', () => {
	expect(onTab(rows, 'stone').map((row) => row.code)).toEqual(['found-not-set']);
	expect(onTab(undefined, 'stack')).toEqual([]);
});

test('who orders sees what may change the order and every stop, of whatever stage', () => {
	expect(forOrder(rows).map((row) => row.code)).toEqual(['stack-in-air', 'form-tall']);
});

test('findings that are alike are one, with how many more there are', () => {
	expect(alike([rows[2]!, rows[0]!, rows[2]!, rows[2]!]).map(({ first, more }) => [first.code, more])).toEqual([
		['form-tall', 2],
		['stack-in-air', 0]
	]);
});
