import { describe, expect, it } from 'vitest';
import { markQuantity } from '$lib/core/stations/prints/marks/marks';
import type { Chances, PickRow } from '$lib/core/answers/pick/types';
import type { ValueRule } from '$lib/core/judging/trial/protocol';
import { basis } from '../../../tests/support/evidence';
import { costPerGoodKg } from '$lib/core/stations/cost/quantities';
import { diameterMean } from '$lib/core/stations/diameter/quantities';
import { gateWords, groupWords, pickSentence, usefulNext } from './pick-sentence';

const overhang = markQuantity('overhang');

const row = (code: string, more: Partial<PickRow> = {}): PickRow => ({
	spoolId: code,
	code,
	eligible: true,
	neverFinished: false,
	gates: [],
	score: 0.5,
	worth: 0.5,
	cost: 20,
	strength: null,
	parts: [],
	families: [{ id: 'family.looks', weight: 1, value: 0.5, low: 0.4, high: 0.6, known: true }],
	knownShare: 1,
	place: 1,
	tier: null,
	...more
});
const chances = (shares: Record<string, number>): Chances => ({
	draws: 20000,
	places: Object.fromEntries(Object.entries(shares).map(([k, v]) => [k, [v]])),
	worth: {},
	cost: {}
});

describe('the pick in one sentence', () => {
	const two = (shares: Record<string, number>, rule: ValueRule = 'weighted') =>
		pickSentence(
			Object.keys(shares).map((code) => row(code)),
			chances(shares),
			rule
		);
	it('is as sure as the draws, not surer', () => {
		expect(two({ KE1: 0.91, DO2: 0.09 })).toBe('Buy KE1: 91 % chance to be first, DO2 9 %.');
		expect(two({ KE1: 0.6, DO2: 0.4 })).toBe('KE1 is the better bet: 60 % chance to be first, DO2 40 %.');
		expect(two({ KE1: 0.4, DO2: 0.35 })).toBe('KE1 leads, too close to call: 40 % chance to be first, DO2 35 %.');
	});
	it('says so when another is first more often than the one that leads on average', () => {
		expect(two({ TU5: 0.26, KE1: 0.56 })).toBe('TU5 leads on average, but others are first more often: 26 % chance to be first, KE1 56 %.');
	});
	it('never says certain', () => {
		expect(two({ KE1: 1, DO2: 0 })).toMatch(/^Buy KE1: over 9.* DO2 under/);
	});
	it('says when there is nothing to pick', () => {
		const said = (...rows: PickRow[]) => pickSentence(rows, chances({}), 'cheapestOfBest');
		expect(said()).toMatch(/no spool/);
		expect(said(row('KE1', { eligible: false }))).toBe('No spool meets the limits.');
		expect(said(row('KE1', { neverFinished: true }))).toBe('No spool has finished a print yet.');
		const unmeasured = (code: string) =>
			row(code, { families: [{ id: 'family.looks', weight: 1, value: 0.5, low: 0, high: 1, known: false }] });
		expect(said(unmeasured('KE1'), unmeasured('DO2'))).toMatch(/nothing to pick on/);
		// Priced, and nothing else: no spool is as good as another for that.
		expect(said(row('KE1', { families: [] }), row('DO2', { families: [] }))).toMatch(/nothing to pick on/);
		expect(pickSentence([row('KE1', { families: [] }), row('DO2', { families: [] })], chances({ KE1: 0.9, DO2: 0.1 }), 'cheapest')).toMatch(
			/^Buy KE1/
		);
		expect(said(row('KE1'))).toMatch(/only spool here/);
		expect(said(row('KE1'), row('DO2', { eligible: false }))).toMatch(/only one that meets/);
	});
	it('does not call a spool as good as others that nobody looked at', () => {
		const unseen = { tier: 1, families: [{ id: 'family.looks' as const, weight: 1, value: 0.5, low: 0, high: 1, known: false }] };
		const seen = { tier: 1 };
		const said = (rows: PickRow[], shares: Record<string, number>, rule: ValueRule = 'cheapestOfBest') =>
			pickSentence(rows, chances(shares), rule, 'EUR');
		const even = { LA3: 0.34, KE1: 0.33, DO2: 0.33 };
		expect(said([row('LA3', unseen), row('KE1', seen), row('DO2', unseen)], even)).toBe(
			'Too early to say: nothing that counts was measured on LA3 and DO2 yet.'
		);
		expect(said([row('KE1', seen), row('LA3', unseen), row('DO2', seen)], even)).toBe(
			'KE1 leads so far, but nothing that counts was measured on LA3 yet.'
		);
		expect(said([row('LA3', unseen), row('KE1', seen)], even, 'weighted')).toBe(
			'Too early to say: nothing that counts was measured on LA3 yet.'
		);
		const many = ['B', 'C', 'D', 'E'].map((code) => row(code, unseen));
		expect(said([row('A', seen), ...many], { A: 0.3 })).toBe('A leads so far, but nothing that counts was measured on 4 spools yet.');
		// Out of reach, or behind: then it changes nothing.
		expect(said([row('KE1', seen), row('LA3', unseen)], { KE1: 0.85, LA3: 0.15 })).toMatch(/^Buy KE1: 85 %/);
		expect(said([row('KE1', seen), row('DO2', seen), row('LA3', { ...unseen, tier: 2 })], even)).toMatch(/^Buy KE1: as good as DO2/);
		expect(said([row('KE1', seen), row('LA3', unseen)], { KE1: 0.5, LA3: 0.5 }, 'weighted')).toMatch(/^KE1 is the better bet/);
		expect(said([row('LA3', unseen), row('KE1', seen)], { LA3: 0.5, KE1: 0.5 }, 'cheapest')).toMatch(/^LA3 is the better bet/);
	});
	it('of those that cannot be told apart names the cheapest, and whom it is as good as', () => {
		const tier = (shares: Record<string, number>, last: Partial<PickRow> = {}) => {
			const codes = Object.keys(shares);
			const rows = codes.map((code, i) => row(code, { tier: 0, ...(i === codes.length - 1 ? last : {}) }));
			return pickSentence(rows, chances(shares), 'cheapestOfBest', 'EUR');
		};
		expect(tier({ SE6: 0.34, KE1: 0.35, HU4: 0.31 })).toBe(
			'Buy SE6: as good as KE1 and HU4, as far as these tests can tell, and the cheapest.'
		);
		expect(tier({ A: 0.2, B: 0.2, C: 0.2, D: 0.2, E: 0.2 })).toBe(
			'Buy A: as good as 4 others, as far as these tests can tell, and the cheapest.'
		);
		expect(tier({ SE6: 0.1, HU4: 0.87, KE1: 0.03 })).toBe(
			'Buy SE6, the cheapest of 3 that these tests cannot tell apart for sure. HU4 is the likelier best (87 %), but it costs 0.00 EUR a kg more.'
		);
		expect(tier({ SE6: 0.6, KE1: 0.4 })).toBe('SE6 is the better bet: 60 % chance to be the best, KE1 40 %.');
		expect(tier({ SE6: 0.9, KE1: 0.1 }, { tier: 1 })).toBe('Buy SE6: 90 % chance to be the best, KE1 10 %.');
		const unpriced = [row('SE6', { tier: 0, cost: null }), row('KE1', { tier: 0, cost: null })];
		expect(pickSentence(unpriced, chances({ SE6: 0.4, KE1: 0.3 }), 'cheapestOfBest')).toBe(
			'SE6 and KE1 are as good as each other, as far as these tests can tell; none of them has a price.'
		);
	});
	it('heads each group of the ranking', () => {
		expect(
			[row('A', { tier: 0 }), row('B', { tier: 2 }), row('C', { eligible: false }), row('D', { neverFinished: true })].map(groupWords)
		).toEqual(['Cannot be told apart', 'Behind these', 'Misses a limit', 'No good print yet']);
		expect(groupWords(row('A', { tier: 0 }), 1)).toBe('The best');
	});
	it('says by how much a gate is missed', () => {
		const words = { defs: [overhang], currency: 'EUR', codeOf: (x: string) => x };
		expect(gateWords({ quantity: 'overhang', gate: { op: 'atLeast', limit: 60 }, state: 'fail', by: -15, n: 3 }, words)).toBe(
			'Overhang at least 60 °: missed by 15 °, n\u00a03'
		);
		expect(gateWords({ quantity: 'overhang', gate: { op: 'atLeast', limit: 60 }, state: 'undecided', by: null, n: 0 }, words)).toMatch(
			/unclear, nothing measured/
		);
		const undecided = { quantity: 'overhang', gate: { op: 'atLeast', limit: 60 }, state: 'undecided', by: 3 } as const;
		expect(gateWords({ ...undecided, n: 1 }, words)).toBe('Overhang at least 60 °: unclear, n\u00a01');
		expect(gateWords({ ...undecided, n: 0 }, words)).toBe('Overhang at least 60 °: unclear, by the handbook');
		expect(gateWords({ ...undecided, state: 'pass', n: 4 }, words)).toBe('Overhang at least 60 °: met by 3 °, n\u00a04');
	});
	it('says which act would make it surer', () => {
		const words = {
			defs: [overhang, costPerGoodKg({ costReference: null }), diameterMean(basis)],
			currency: 'EUR',
			codeOf: (x: string) => x
		};
		expect(usefulNext({ quantity: 'overhang', spoolId: 'SE6' }, words, true)).toEqual({
			text: 'Print SE6 again: its overhang is the least sure.',
			station: 'prints',
			spoolId: 'SE6'
		});
		// Cost is made surer by printing.
		expect(usefulNext({ quantity: 'costPerGoodKg', spoolId: 'SE6' }, words, false)).toMatchObject({
			text: 'Print SE6: its share of finished prints is not known.',
			station: 'prints'
		});
		expect(usefulNext({ quantity: 'diameterMean', spoolId: 'SE6' }, words, true).text).toMatch(/^Measure SE6 again/);
	});
});
