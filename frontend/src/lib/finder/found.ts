/** Everything that has a name, as rows to look through, and how well each answers what is asked. */
import type { JobDoubts, JobState, RecordRow, RuleRow, YardJob } from '../api/schema';
import type { XY } from '../drawing/viewport';
import { LENSES } from '../lenses/all';
import { questionOf, rowsOf } from '../lenses/lens';
import { w } from '../words/words';

export type FoundKind = keyof typeof w.finder.kinds;
export interface Found {
	id: string;
	kind: FoundKind;
	name: string;
	/** where it is, in words */
	where: string;
	href: string;
	/** lights up on the plan while it is looked at, mm */
	rings: XY[][];
	/** more that it answers to */
	also: string;
}
export interface Known {
	job: JobState | null;
	doubts: JobDoubts | null;
	records: readonly RecordRow[];
	jobs: readonly YardJob[];
	rules: readonly RuleRow[];
}
export const SHOWN = 40;

const lensName = (id: string): string => (w.lenses as Record<string, string>)[id] ?? id;
const tabName = (lens: string, tab: string): string => {
	const own = LENSES.find((one) => one.id === lens);
	const name = own && rowsOf(own).find((row) => row.value === tab)?.label;
	return name ? `${lensName(lens)}, ${name}` : lensName(lens);
};

/** Rows of a job: its tabs first, then what is wrong, then what it is made of, its papers and its records. */
function ofJob(job: JobState, doubts: JobDoubts | null, records: readonly RecordRow[]): Found[] {
	const to = (lens: string, tab = '', at = '') => {
		const asks = [tab && `tab=${tab}`, at && `at=${at}`].filter(Boolean).join('&');
		return `/job/${job.id}/${lens}${asks ? `?${asks}` : ''}`;
	};
	const row = (kind: FoundKind, id: string, name: string, where: string, href: string, more: Partial<Found> = {}): Found => ({
		kind, id: `${kind}-${id}`, name, where, href, rings: [], also: '', ...more
	}); // prettier-ignore
	const rows: Found[] = [];
	/* a stage of one tab, or one that a tab elsewhere is named like, stands before those tabs */
	const named = (lens: (typeof LENSES)[number]) =>
		LENSES.some((other) => other !== lens && rowsOf(other).some((tab) => tab.label === lensName(lens.id)));
	for (const lens of [...LENSES].sort((a, b) => Number(named(b)) - Number(named(a)))) {
		if (lens.tabs.length < 2 || named(lens))
			rows.push(row('tab', lens.id, lensName(lens.id), questionOf(lens, lens.tabs[0] ?? ''), to(lens.id)));
		if (lens.tabs.length > 1)
			for (const tab of rowsOf(lens))
				rows.push(row('tab', `${lens.id}-${tab.value}`, tab.label, lensName(lens.id), to(lens.id, tab.value)));
	}
	(doubts?.findings ?? []).forEach((one, at) => {
		const tab = one.tabs[0] ?? '';
		rows.push(row('finding', `${at}-${one.code}`, one.words, tabName(one.stage, tab), to(one.stage, tab), { also: one.remedy }));
	});
	const { figure, document: plan } = job;
	(figure.outline?.sides ?? []).forEach((side, at) => {
		const ring = [plan.outline?.[at], plan.outline?.[(at + 1) % (plan.outline.length || 1)]].filter((spot) => !!spot);
		const edge = figure.section_places.find((place) => place.kind === 'side' && place.row === at)?.mark ?? '';
		rows.push(
			row(
				'side',
				`${at}`,
				side.name,
				[side.text, edge].filter(Boolean).join(', '),
				to('edges', 'cut', `side.${plan.corner_ids[at]}`),
				{ rings: [ring], also: `side ${edge}` }
			)
		);
	});
	for (const part of figure.concrete?.parts ?? []) {
		const rings = part.numbers.length
			? (figure.drawing?.strips ?? []).filter((strip) => part.numbers.includes(strip.number)).flatMap((strip) => strip.rings)
			: (figure.drawing?.zones ?? []).filter((zone) => zone.name === part.zone).flatMap((zone) => zone.rings);
		rows.push(
			row('part', part.letter, part.part, w.finder.part(part.letter), to('edges', 'sum', `part.${part.letter}`), {
				rings,
				also: `${part.letter} ${part.mark} ${part.zone ?? ''} ${part.kind}`
			})
		);
	}
	for (const [tab, things] of [
		['footings', (figure.footings?.drawn ?? []).map((one) => ({ key: `t${one.footing}`, ...one }))],
		['walls', (figure.walls?.drawn ?? []).map((one) => ({ key: `w${one.wall}`, ...one }))],
		['walks', (figure.beside ?? []).map((one) => ({ key: one.id, ...one }))]
	] as const)
		for (const one of things)
			rows.push(row('part', one.key, one.name, tabName('edges', tab), to('edges', tab), { rings: one.rings, also: tab }));
	for (const wall of plan.embeds?.walls ?? []) {
		const at = plan.corner_ids?.indexOf(wall.side) ?? -1;
		const ring = [plan.outline?.[at], plan.outline?.[(at + 1) % (plan.outline.length || 1)]].filter((spot) => !!spot);
		rows.push(
			row('part', wall.id ?? wall.name, wall.name, tabName('embeds', 'walls'), to('embeds', 'walls'), {
				rings: [ring],
				also: 'wall'
			})
		);
	}
	for (const group of plan.embeds?.groups ?? [])
		rows.push(
			row('part', group.id ?? group.name, group.name, tabName('embeds', 'straps'), to('embeds', 'straps'), { also: 'bolts' })
		);
	for (const paper of w.finder.papers)
		rows.push(row('paper', paper.name, paper.name, tabName(paper.lens, paper.tab), to(paper.lens, paper.tab)));
	for (const record of records) {
		const place = w.finder.records[record.kind];
		if (!place || record.superseded || record.unread) continue;
		rows.push(
			row(
				'record',
				record.id,
				place.name,
				[record.who, record.at.slice(0, 10)].filter(Boolean).join(', '),
				to(place.lens, place.tab),
				{ also: `${record.verdict} ${record.shown.join(' ')}` }
			)
		);
	}
	return rows;
}

/** All that can be found, in the order in which it stands where nothing is asked yet. */
export function everything({ job, doubts, records, jobs, rules }: Known): Found[] {
	const bare = { rings: [], also: '' };
	return [
		...(job ? ofJob(job, doubts, records) : []),
		...jobs.map((one): Found => ({
			...bare,
			kind: 'job',
			id: `job-${one.id}`,
			name: one.name,
			where: w.finder.yard,
			href: `/job/${one.id}`
		})),
		...rules.map((rule): Found => ({
			...bare,
			kind: 'rule',
			id: `rule-${rule.name}`,
			name: rule.title,
			where: w.finder.ruleBook,
			href: `/rules?rule=${rule.name}`,
			also: `${rule.name} ${rule.source_words}`
		}))
	];
}

const wordsOf = (text: string) =>
	text
		.toLowerCase()
		.split(/[^\p{L}\p{N}/″′.]+/u)
		.filter(Boolean);
/** 0 where it does not answer; more the better: its whole name, a word of it, a word's beginning, somewhere in it. */
function score(row: Found, asked: readonly string[]): number {
	const name = wordsOf(row.name);
	const also = wordsOf(`${row.also} ${row.where} ${w.finder.kinds[row.kind]}`);
	let total = name.join(' ') === asked.join(' ') ? 100 : 0;
	for (const word of asked) {
		const at = name.includes(word)
			? 20
			: name.some((one) => one.startsWith(word))
				? 12
				: also.includes(word)
					? 8
					: also.some((one) => one.startsWith(word))
						? 5
						: word.length > 2 && [...name, ...also].some((one) => one.includes(word))
							? 2
							: 0;
		if (!at) return 0;
		total += at;
	}
	return total;
}
/** Those that have every word asked for, the best first, otherwise in their order. All of them where nothing is asked. */
export function find(rows: readonly Found[], asked: string): Found[] {
	const words = wordsOf(asked);
	if (!words.length) return [...rows];
	return rows
		.map((row, at) => ({ row, at, score: score(row, words) }))
		.filter((one) => one.score > 0)
		.sort((one, two) => two.score - one.score || one.at - two.at)
		.map((one) => one.row);
}
/** The letters that two words differ by (insertions, losses, changes), at most 3 counted. */
function apart(one: string, two: string): number {
	if (Math.abs(one.length - two.length) > 2) return 3;
	let last = Array.from({ length: two.length + 1 }, (_, at) => at);
	for (let i = 1; i <= one.length; i++) {
		const now = [i];
		for (let j = 1; j <= two.length; j++)
			now[j] = Math.min((last[j] ?? 9) + 1, (now[j - 1] ?? 9) + 1, (last[j - 1] ?? 9) + (one[i - 1] === two[j - 1] ? 0 : 1));
		last = now;
	}
	return Math.min(3, last[two.length] ?? 3);
}
/** What somebody may have meant who asked for something that is not there: a word or mark one or two letters away. */
export function near(rows: readonly Found[], asked: string): string {
	const [word = ''] = wordsOf(asked).slice(-1);
	let best = { name: '', by: word.length > 3 ? 3 : 2 };
	for (const row of rows)
		for (const one of [...wordsOf(row.name), ...wordsOf(row.also)]) {
			const by = apart(word, one) + (one.length === word.length ? 0 : 0.5);
			if (by >= 1 && by < best.by)
				best = { name: row.name.split(' ').find((part) => part.toLowerCase() === one) ?? row.name, by };
		}
	return best.name;
}
