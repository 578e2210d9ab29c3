/** The rule book: rules as loaded, what is looked for, the calculator's answer, and the county's word. */
import { api } from '../api/api';
import { ApiProblem, Offline } from '../api/client';
import type { RuleRow, Working } from '../api/schema';
import { session } from '../state/session.svelte';
import { rules as ruleWords } from '../words/rules';

export type Units = 'ft-in' | 'mm';

/** Rules that have every word of what is looked for, in title, text, formula, source or table. */
export function found(rules: RuleRow[], asked: string): RuleRow[] {
	const words = asked.toLowerCase().split(/\s+/).filter(Boolean);
	if (!words.length) return rules;
	return rules.filter((rule) => {
		const text = [
			rule.name,
			rule.title,
			rule.what,
			rule.formula,
			rule.source_words,
			rule.standing,
			rule.edition,
			...rule.table.flat(),
			...rule.limits.map((row) => row.name)
		]
			.join(' ')
			.toLowerCase();
		return words.every((word) => text.includes(word));
	});
}

/** The rule to open: the one named, else the first from that source, else the first of the list. */
export function toOpen(rules: RuleRow[], name: string | null, source: string | null): string {
	return (rules.find((rule) => rule.name === name) ?? rules.find((rule) => rule.source === source) ?? rules[0])?.name ?? '';
}

export class RuleStore {
	rules = $state.raw<RuleRow[] | null>(null);
	units = $state<Units>('ft-in');
	asked = $state('');
	told = $state.raw<Working[]>([]);
	problem = $state<{ at: string; words: string; choices: { label: string; text: string }[] } | null>(null);
	#ask = 0;
	readonly shown = $derived(found(this.rules ?? [], this.asked));

	async load(units: Units = this.units) {
		this.units = units;
		try {
			this.rules = await api.rules(units);
			if (!session.ways) await session.loadWays();
		} catch (error) {
			this.fail(error, 'book');
		}
	}

	async try(name: string, values: Record<string, string>): Promise<void> {
		const [family = '', rule = ''] = name.split('/');
		const ask = ++this.#ask; // only the answer to what was typed last counts
		this.problem = null;
		try {
			const told = await api.tryRule(family, rule, { units: this.units, values });
			if (ask === this.#ask) this.told = told;
		} catch (error) {
			if (ask !== this.#ask) return;
			this.told = [];
			this.fail(error, 'try');
		}
	}

	/** True once the county's word is kept; an empty value goes back to the source. */
	async keep(key: string, value: string, who: string, at: string): Promise<boolean> {
		this.problem = null;
		try {
			const got = await api.keepLimit(key, {
				version: session.waysVersion,
				units: this.units,
				value,
				who,
				at,
				author: session.who
			});
			session.ways = got.ways;
			session.waysVersion = got.version;
			await this.load();
			return true;
		} catch (error) {
			this.fail(error, key);
			if (error instanceof ApiProblem && error.problem.code === 'stale') await session.loadWays();
			return false;
		}
	}

	private fail(error: unknown, at: string) {
		if (error instanceof ApiProblem)
			this.problem = {
				at: error.problem.path && at === 'try' ? error.problem.path : at,
				words: error.problem.detail,
				choices: error.problem.choices ?? []
			};
		else if (error instanceof Offline) this.problem = { at, words: ruleWords.offline, choices: [] };
		else throw error;
	}
}
