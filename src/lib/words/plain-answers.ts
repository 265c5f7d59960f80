import { headToHead } from '$lib/core/answers/scorecard/head-to-head';
import type { PriceMatters } from '$lib/core/answers/pick/price-matters';
import type { Candidate, PickRow } from '$lib/core/answers/pick/types';
import type { QuantityDef } from '$lib/core/judging/finding/types';
import { fixed } from './numbers';
import { inSentence } from './quantities';

type Of = { candidates: readonly Candidate[]; defs: readonly QuantityDef[]; currency: string };

const names = (ids: readonly string[], defs: readonly QuantityDef[]): string =>
	ids.map((id) => inSentence(defs.find((d) => d.id === id) ?? { id })).join(', ');

/** Nobody minds a cent. */
const SAME_MONEY = 0.05;

/**
 * Two spools in one line: what one costs less, in what it is better or worse, what is alike enough, and what nobody can tell.
 * @example pairLine(rows[0], rows[1], of).text // 'SE6 costs 11.70 EUR a kg less; HU4 is better at bridge; ...'
 */
export function pairLine(first: PickRow, second: PickRow, { candidates, defs, currency }: Of): { pair: string; text: string } {
	const findingsOf = (row: PickRow) => candidates.find((c) => c.spoolId === row.spoolId)?.findings ?? {};
	const { better, worse, alike, open } = headToHead(findingsOf(first), findingsOf(second), comparedOf(defs));
	const parts = [
		costWords(first, second, currency),
		better.length ? `${first.code} is better at ${names(better, defs)}` : '',
		worse.length ? `${second.code} is better at ${names(worse, defs)}` : '',
		alike.length ? `alike in ${names(alike, defs)}` : '',
		open.length ? `no clear difference in ${names(open, defs)}` : ''
	].filter(Boolean);
	return { pair: `${first.code} and ${second.code}`, text: parts.length ? `${parts.join('; ')}.` : 'nothing was measured on both.' };
}

/**
 * One spool in a sentence, beside the house spool: in what it is clearly better or worse, and what it costs. What is alike or not known is no news.
 * @example besideHouse(row, house, of) // 'KE1 is better than HU4, your house spool, at overhang; it costs 1.05 EUR a kg less.'
 */
export function besideHouse(one: PickRow, house: PickRow, { candidates, defs, currency }: Of): string {
	const findingsOf = (row: PickRow) => candidates.find((c) => c.spoolId === row.spoolId)?.findings ?? {};
	const { better, worse, alike, open } = headToHead(findingsOf(one), findingsOf(house), comparedOf(defs));
	const at = (word: string, ids: readonly string[]) => (ids.length ? `${word} at ${names(ids, defs)}` : '');
	const clear = [at('better', better), at('worse', worse)].filter(Boolean).join(' and ');
	const said = clear
		? `${one.code} is ${clear} than ${house.code}, your house spool`
		: alike.length + open.length > 0
			? `No clear difference between ${one.code} and ${house.code}, your house spool`
			: `Nothing was measured of both ${one.code} and ${house.code}, your house spool`;
	return `${[said, moneyOf(one, house, currency)].filter(Boolean).join('; ')}.`;
}

function moneyOf(one: PickRow, house: PickRow, currency: string): string {
	if (one.neverFinished) return 'it has no good print yet';
	if (one.cost === null || house.cost === null) return '';
	const less = house.cost - one.cost;
	if (Math.abs(less) < SAME_MONEY) return 'they cost the same';
	return `it costs ${fixed(Math.abs(less), 2)} ${currency} a kg ${less > 0 ? 'less' : 'more'}`;
}

/** What two spools are compared by: what is only told (a calibration, a stated hardness) is neither better nor worse, and cost is told in money. */
const comparedOf = (defs: readonly QuantityDef[]): QuantityDef[] =>
	defs.filter((d) => d.onSheet !== false && d.onSheet !== 'seen' && d.family !== 'cost');

function costWords(first: PickRow, second: PickRow, currency: string): string {
	if (first.cost === null || second.cost === null) return '';
	const less = second.cost - first.cost;
	if (Math.abs(less) < SAME_MONEY) return 'they cost the same';
	const cheaper = less > 0 ? first : second;
	return `${cheaper.code} costs ${fixed(Math.abs(less), 2)} ${currency} a kg less`;
}

/** So many pairs are told: the first with each of the next. */
const PAIRS = 3;

/** The first spool beside the next ones. */
export const pairLines = (rows: readonly PickRow[], of: Of): { pair: string; text: string }[] => {
	const [first, ...others] = rows.filter((r) => r.eligible && !r.neverFinished);
	return first ? others.slice(0, PAIRS).map((other) => pairLine(first, other, of)) : [];
};

/**
 * Whether price matters here, in a sentence with its range.
 * @example priceWords({ spools: 9, correlation: 0.1, low: -0.5, high: 0.7 }) // 'Not that one could see: ...'
 */
export function priceWords({ spools, correlation, low, high }: PriceMatters): string {
	const range = `(${spools} spools; rank correlation ${fixed(correlation, 1)}, 95 % range ${fixed(low, 1)} to ${fixed(high, 1)})`;
	if (low > 0) return `Yes: dearer spools were better ${range}.`;
	if (high < 0) return `Dearer spools were worse ${range}.`;
	return `Not that one could see: dearer spools were no better for sure ${range}.`;
}

/**
 * What a wrong choice among those that cannot be told apart costs at most, in money a kilogram; null where there is nothing to lose.
 * @example mostLost(rows) // 11.7
 */
export function mostLost(rows: readonly PickRow[]): number | null {
	const costs = rows.filter((r) => r.tier === 0 && r.eligible && !r.neverFinished).flatMap((r) => r.cost ?? []);
	const most = costs.length > 1 ? Math.max(...costs) - Math.min(...costs) : 0;
	return most >= SAME_MONEY ? most : null;
}
