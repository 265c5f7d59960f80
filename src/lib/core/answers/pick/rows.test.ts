import { describe, expect, it } from 'vitest';
import type { QuantityDef } from '../../judging/finding/types';
import { orderRows, rowOf } from './rows';
import { Tally } from './tally';
import type { Candidate, PickInput, PickRow } from './types';

const DEFS = ['overhang', 'bridge', 'strings', 'load'].map((id) => ({ id })) as unknown as QuantityDef[];
const finding = (n: number, estimate: number | null) => ({ n, estimate, sampling: { kind: 'exact' } });
const SPOOL = {
	spoolId: 's',
	code: 'KA1',
	findings: { overhang: finding(2, 60), bridge: finding(0, null), strings: finding(0, 1), costPerGoodKg: { ...finding(1, 21), n: 1 } }
} as unknown as Candidate;
const CRITERIA = [
	{ quantity: 'overhang', weight: 2, gate: null, family: 'looks' },
	{ quantity: 'bridge', weight: 1, gate: null, family: 'looks' },
	{ quantity: 'strings', weight: 5, gate: null, family: null },
	{ quantity: 'load', weight: 0, gate: { op: 'atLeast', limit: 50 }, family: 'holds' },
	{ quantity: 'no such', weight: 9, gate: { op: 'atLeast', limit: 1 } }
] as unknown as PickInput['criteria'];

function tallied(): Tally {
	const tally = new Tally();
	for (const [what, mean] of [
		['score', 0.5],
		['worth', 0.6],
		['overhang', 0.9],
		['bridge', 0.3],
		['strings', 0.4]
	] as const)
		tally.add(what, mean, 10);
	tally.keep(
		'family.looks',
		Float64Array.from({ length: 100 }, (_, i) => 0.6 + i / 1000)
	);
	return tally;
}

describe('what is told of a spool', () => {
	const told = () => rowOf(SPOOL, { candidates: [SPOOL], criteria: CRITERIA, defs: DEFS, rule: 'weighted' }, tallied());

	it('its values, its cost, and what is known of them', () => {
		expect(told()).toMatchObject({ score: 0.5, worth: 0.6, cost: 21, strength: null, eligible: true, neverFinished: false, place: 0 });
		// Overhang was measured, strings are known without a print of it; of bridge nothing is known: 7 of 8.
		expect(told().parts).toEqual([
			{ quantity: 'overhang', weight: 2, value: 0.9, known: true },
			{ quantity: 'bridge', weight: 1, value: 0.3, known: false },
			{ quantity: 'strings', weight: 5, value: 0.4, known: true }
		]);
		expect(told().knownShare).toBe(7 / 8);
	});
	it('families, the heaviest first, with the range of their draws where there are some', () => {
		const [strings, looks] = told().families;
		expect(told().families).toHaveLength(2);
		expect(strings).toEqual({ id: 'strings', weight: 5, value: 0.4, low: 0.4, high: 0.4, known: true });
		expect(looks).toMatchObject({ id: 'family.looks', weight: 3, known: true });
		expect(looks?.value).toBeCloseTo((2 * 0.9 + 0.3) / 3, 12);
		expect([looks?.low, looks?.high]).toEqual([expect.closeTo(0.602, 3), expect.closeTo(0.697, 3)]);
	});
	it('limits of what is weighed or only limited, never of what is no quantity', () => {
		expect(told().gates).toMatchObject([{ quantity: 'load', state: 'undecided' }]);
	});
	it('nothing weighed is nothing known', () => {
		expect(rowOf(SPOOL, { candidates: [SPOOL], criteria: [], defs: DEFS, rule: 'weighted' }, new Tally())).toMatchObject({
			knownShare: 0,
			score: 0,
			worth: 0,
			families: []
		});
	});
});

const row = (code: string, more: Partial<PickRow> = {}): PickRow => ({
	spoolId: code,
	code,
	eligible: true,
	neverFinished: false,
	gates: [],
	score: 0.5,
	worth: 0.5,
	cost: 20,
	strength: 100,
	parts: [],
	families: [],
	knownShare: 1,
	place: 0,
	tier: 0,
	...more
});
const order = (rows: PickRow[], rule: Parameters<typeof orderRows>[1]) => orderRows(rows, rule).map((r) => `${r.code} ${r.place}`);

describe('the order of a rule', () => {
	it('the cheapest of the best tier; in a tier what is dearer after, then what is worth less', () => {
		const rows = [
			row('KA1', { tier: 1, cost: 5 }),
			row('KA2', { cost: 30 }),
			row('KA3', { cost: 20, worth: 0.4 }),
			row('KA4', { cost: 20, worth: 0.6 }),
			row('KA5', { cost: null }),
			row('KA6', { tier: null, cost: 1 })
		];
		expect(order(rows, 'cheapestOfBest')).toEqual(['KA4 1', 'KA3 2', 'KA2 3', 'KA5 4', 'KA1 5', 'KA6 6']);
	});
	it('value per money, least cost, greatest load: what is not known comes last', () => {
		const rows = [row('KA1', { worth: 0.4, cost: 10, strength: 90 }), row('KA2', { worth: 0.9, cost: 30, strength: 120 })];
		const blank = row('KA0', { worth: 1, cost: null, strength: null });
		expect(order([blank, ...rows], 'perMoney')).toEqual(['KA1 1', 'KA2 2', 'KA0 3']);
		expect(order([blank, ...rows], 'cheapest')).toEqual(['KA1 1', 'KA2 2', 'KA0 3']);
		expect(order([blank, ...rows], 'strongest')).toEqual(['KA2 1', 'KA1 2', 'KA0 3']);
	});
	it('equals share a place, in the order of their codes; a dust of a difference is none', () => {
		const rows = [row('KA3', { score: 0.5 + 1e-10 }), row('KA1'), row('KA2'), row('KA4', { score: 0.5 - 1e-8 })];
		expect(order(rows, 'weighted')).toEqual(['KA1 1', 'KA2 1', 'KA3 1', 'KA4 4']);
		expect(order([row('KA2', { cost: null }), row('KA1', { cost: null })], 'cheapest')).toEqual(['KA1 1', 'KA2 1']);
	});
	it('behind all: who misses a limit, and behind them who never finished a print', () => {
		const rows = [row('KA1', { neverFinished: true, score: 1 }), row('KA2', { eligible: false, score: 0.9 }), row('KA3', { score: 0.1 })];
		expect(order(rows, 'weighted')).toEqual(['KA3 1', 'KA2 2', 'KA1 3']);
	});
});
