import { describe, expect, it } from 'vitest';
import type { QuantityDef, Sampling } from '../../judging/finding/types';
import { explain } from './explain';
import type { Candidate, PickInput, PickRow } from './types';

/** A row by hand: weights and values of three criteria, in this order. */
const QUANTITIES = ['overhang', 'strings', 'bridge'];
function row(code: string, values: readonly number[], more: Partial<PickRow> & { weights?: readonly number[] } = {}): PickRow {
	const { weights = [4, 2, 2], ...rest } = more;
	const parts = values.map((value, i) => ({ quantity: QUANTITIES[i] as string, weight: weights[i] as number, value, known: true }));
	const whole = { eligible: true, neverFinished: false, gates: [], families: [], knownShare: 1, place: 0, tier: 0 };
	return { ...whole, spoolId: code, code, score: 0.5, worth: 0.5, cost: 20, strength: 100, parts, ...rest };
}
const def = (id: string, low = 0, high = 1) => ({ id, prior: { low, high }, scale: { low: 0, high: 1 } }) as unknown as QuantityDef;
const normal = (sd: number) => ({ sampling: { kind: 't', mean: 0.5, standardError: sd, df: null } satisfies Sampling });
const given = (findings: Record<string, Record<string, unknown>> = {}, more: Partial<PickInput> = {}): PickInput => ({
	candidates: Object.entries(findings).map(([spoolId, of]) => ({ spoolId, code: spoolId, findings: of }) as unknown as Candidate),
	defs: QUANTITIES.map((id) => def(id)),
	criteria: [],
	rule: 'weighted',
	...more
});

describe('what decided', () => {
	it('is the largest lead: weight times difference, of the sum of weights', () => {
		// 4 x 0.1 of 8, 2 x 0.3 of 8, 2 x -0.2 of 8
		const told = explain(given(), [row('KA1', [0.8, 0.9, 0.3]), row('KA2', [0.7, 0.6, 0.5])]);
		expect(told.decidedBy?.quantity).toBe('strings');
		expect(told.decidedBy?.lead).toBeCloseTo(0.075, 12);
	});
	it('is nothing where the first leads in nothing, and the first of two that lead alike', () => {
		expect(explain(given(), [row('KA1', [0.5, 0.5, 0.5]), row('KA2', [0.5, 0.5, 0.5])]).decidedBy).toBeNull();
		expect(explain(given(), [row('KA1', [0.6, 0.7, 0.5]), row('KA2', [0.5, 0.5, 0.5])]).decidedBy?.quantity).toBe('overhang');
	});
	it('looks at those alone that miss no limit, and counts what the second was not asked as nothing', () => {
		const missing = row('KA9', [0, 0, 0], { eligible: false });
		const told = explain(given(), [missing, row('KA1', [0.8, 0.9, 0.3]), row('KA2', [0.7])]);
		expect(told.decidedBy).toEqual({ quantity: 'strings', lead: (2 * 0.9) / 8 });
	});
	it('needs a second', () => {
		expect(explain(given(), [row('KA1', [0.8, 0.9, 0.3])])).toMatchObject({ decidedBy: null, turnsAt: null });
		expect(explain(given(), [])).toMatchObject({ decidedBy: null, turnsAt: null, firmUp: null });
	});
});

describe('where the order turns', () => {
	const turn = (a: number[], b: number[], weights?: number[]) =>
		explain(given(), [row('KA1', a, { weights }), row('KA2', b, { weights })]).turnsAt;
	it('is where one weight makes the sum of differences nothing, the smallest change first', () => {
		// Differences 0.2, -0.1, 0.1 at weights 4, 2, 2: sum 0.8. Overhang would have to go to 0, strings to 10, bridge below 0.
		const strings = turn([0.6, 0.4, 0.6], [0.4, 0.5, 0.5]);
		expect(strings?.quantity).toBe('overhang');
		expect(strings).toMatchObject({ from: 4 });
		expect(strings?.to).toBeCloseTo(0, 12);
		// Without bridge and with less of overhang the strings need no more than 4.
		const nearer = turn([0.6, 0.4, 0.5], [0.5, 0.5, 0.5], [4, 3, 2]);
		expect(nearer).toMatchObject({ quantity: 'overhang', from: 4 });
		expect(nearer?.to).toBeCloseTo(3, 12);
		const other = turn([0.6, 0.4, 0.5], [0.5, 0.5, 0.5], [3, 2.5, 2]);
		expect(other?.quantity).toBe('overhang');
		expect(other?.to).toBeCloseTo(2.5, 12);
	});
	it('measures a change by the weight it starts from', () => {
		// Overhang from 8 to 6 is a quarter, strings from 6 to 8 a third.
		expect(turn([0.6, 0.4, 0.5], [0.5, 0.5, 0.5], [8, 6, 1])).toMatchObject({ quantity: 'overhang', from: 8 });
		// Overhang from 9 to 4.5 is a half, strings from 3 to 6 the whole; a weight of nothing counts as a hundredth.
		expect(turn([0.55, 0.4, 0.5], [0.5, 0.5, 0.5], [9, 3, 0])?.quantity).toBe('overhang');
		expect(turn([0.4, 0.9, 0.5], [0.5, 0.5, 0.5], [2, 1, 0])?.quantity).toBe('strings');
	});
	it('is told at ten, not beyond, and never for what is alike or stands there already', () => {
		expect(turn([0.6, 0.4, 0.5], [0.5, 0.5, 0.5], [0, 0, 0])).toBeNull();
		// Only strings could turn it: at 10 exactly, and at 10.5 no more.
		expect(turn([0.6, 0.4, 0.5], [0.5, 0.5, 0.5], [10, 9.9, 1])).not.toBeNull();
		expect(turn([0.5, 0.4, 0.75], [0.5, 0.5, 0.5], [1, 2, 4])?.to).toBeCloseTo(0.8, 12);
		expect(turn([0.5, 0.7, 0.5], [0.5, 0.5, 0.5], [1, 2, 4])).toEqual({ quantity: 'strings', from: 2, to: -0 });
		expect(turn([0.5, 0.5, 0.5], [0.5, 0.5, 0.5])).toBeNull();
	});
});

describe('what would firm it up', () => {
	const rows = [row('KA1', [0.8, 0.9, 0.3]), row('KA2', [0.7, 0.6, 0.5])];
	it('is where weight times spread is largest, of the first or the second', () => {
		const all = (a: number, b: number, c: number) => ({ overhang: normal(a), strings: normal(b), bridge: normal(c) });
		expect(explain(given({ KA1: all(0.1, 0.1, 0.1), KA2: all(0.1, 0.1, 0.1) }), rows).firmUp).toEqual({
			quantity: 'overhang',
			spoolId: 'KA1'
		});
		expect(explain(given({ KA1: all(0.1, 0.3, 0.1), KA2: all(0.1, 0.1, 0.25) }), rows).firmUp).toEqual({
			quantity: 'strings',
			spoolId: 'KA1'
		});
		expect(explain(given({ KA1: all(0.1, 0.2, 0.1), KA2: all(0.1, 0.1, 0.25) }), rows).firmUp).toEqual({
			quantity: 'bridge',
			spoolId: 'KA2'
		});
	});
	it('measures a spread by the scale of its quantity', () => {
		const defs = [def('overhang'), { ...def('strings'), scale: { low: 2, high: 2.5 } }, def('bridge')];
		const of = { overhang: normal(0.1), strings: normal(0.11), bridge: normal(0.1) };
		expect(explain(given({ KA1: of, KA2: of }, { defs }), rows).firmUp).toEqual({ quantity: 'strings', spoolId: 'KA1' });
	});
	it('takes what is not known by the whole of what is believed: a range of twelve has a spread of its twelfth, rooted', () => {
		// (0.9 - 0.1) / sqrt(12) is 0.231: twice that lies between 4 x 0.11 and 4 x 0.12.
		const defs = [def('overhang'), def('strings', 0.1, 0.9), def('bridge', 0.49, 0.51)];
		const firm = (sd: number) =>
			explain(given({ KA1: { overhang: normal(sd) }, KA2: { overhang: normal(sd) } }, { defs }), rows).firmUp?.quantity;
		expect(firm(0.11)).toBe('strings');
		expect(firm(0.12)).toBe('overhang');
	});
	it('is never a price, a figure of the handbook or what nobody knows', () => {
		const exact = { sampling: { kind: 'exact', value: 3 } };
		const book = { ...normal(0.9), method: 'handbook' };
		const only = { overhang: exact, strings: book, bridge: normal(0.01) };
		expect(explain(given({ KA1: only, KA2: only }), rows).firmUp).toEqual({ quantity: 'bridge', spoolId: 'KA1' });
		expect(explain(given({ KA1: only, KA2: only }, { defs: [] }), rows).firmUp).toBeNull();
	});
	it('is asked of the first alone where there is no second', () => {
		expect(explain(given({ KA1: {} }), rows.slice(0, 1)).firmUp).toEqual({ quantity: 'overhang', spoolId: 'KA1' });
	});
});

describe('what other rules would pick', () => {
	const under = (rows: PickRow[], rule: PickInput['rule'] = 'weighted') =>
		Object.fromEntries(explain(given({}, { rule }), rows).otherRules.map((o) => [o.rule, o.spoolId]));
	it('by the same rows', () => {
		const rows = [row('KA1', [], { score: 0.9, cost: 30, strength: 90 }), row('KA2', [], { score: 0.4, cost: 10, strength: 120 })];
		expect(under(rows)).toEqual({ cheapestOfBest: 'KA2', perMoney: 'KA2', cheapest: 'KA2', strongest: 'KA2' });
		expect(under(rows, 'cheapest')).toMatchObject({ weighted: 'KA1' });
	});
	it('nobody where what a rule goes by is not known, or the first may not be bought', () => {
		const nothing = [row('KA1', [], { cost: null, strength: null })];
		expect(under(nothing)).toEqual({ cheapestOfBest: null, perMoney: null, cheapest: null, strongest: null });
		expect(under(nothing, 'cheapest')).toMatchObject({ weighted: 'KA1', strongest: null });
		expect(under([row('KA1', [], { eligible: false })])).toMatchObject({ cheapest: null });
		expect(under([row('KA1', [], { neverFinished: true })])).toMatchObject({ cheapest: null });
		expect(under([])).toMatchObject({ cheapest: null });
	});
});
