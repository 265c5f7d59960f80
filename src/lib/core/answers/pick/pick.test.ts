import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeFinding } from '../../judging/finding/make-finding';
import type { Finding, QuantityDef, Sampling } from '../../judging/finding/types';
import { costPerGoodKg } from '../../stations/cost/quantities';
import { markQuantity } from '../../stations/prints/marks/marks';
import { printSuccess } from '../../stations/prints/success/quantities';
import { explain } from './explain';
import { VALUE_RULES } from '../../record/lists/closed-lists';
import { judgeGate } from './gates';
import { paretoEdge } from './pareto';
import { presetCriteria } from './presets';
import { blocksOf, pickFrom } from './pick-from';
import type { Candidate, Criterion, PickInput } from './types';
import { valueOf, valuesOf } from './value';

const overhang = markQuantity('overhang');
const strings = markQuantity('strings');

const cost = costPerGoodKg({ costReference: 20 });
const DEFS = [printSuccess, overhang, strings, cost];
const rank = (given: PickInput) => pickFrom(given, blocksOf(given, 400, 1)).rows;
const chances = (given: PickInput, draws: number, seed: number) => pickFrom(given, blocksOf(given, draws, seed)).chances;

function finding(def: QuantityDef, estimate: number, half = 0): Finding {
	const sampling: Sampling =
		half === 0 ? { kind: 'exact', value: estimate } : { kind: 't', mean: estimate, standardError: half / 2, df: 20 };
	return makeFinding(def, {
		subject: { spoolId: 's', condition: null, pieceId: null },
		estimate,
		n: 5,
		interval: half === 0 ? null : { low: estimate - half, high: estimate + half, level: 0.95, kind: 'confidence' },
		sampling,
		method: 'test',
		source: 'test'
	});
}

const candidate = (code: string, given: Partial<Record<'overhang' | 'strings' | 'costPerGoodKg', [number, number?]>>): Candidate => ({
	spoolId: `id-${code}`,
	code,
	findings: Object.fromEntries(
		Object.entries(given).map(([q, [estimate, half]]) => [q, finding(DEFS.find((d) => d.id === q) as QuantityDef, estimate, half)])
	)
});

const input = (candidates: Candidate[], criteria: Criterion[], rule: PickInput['rule'] = 'weighted'): PickInput => ({
	candidates,
	criteria,
	defs: DEFS,
	rule
});
const weigh = (quantity: string, weight: number, gate: Criterion['gate'] = null): Criterion => ({ quantity, weight, gate });

describe('value functions', () => {
	it('are anchored on the fixed scale and clipped', () => {
		expect(valueOf(70, overhang)).toBeCloseTo(0.8, 12);
		expect(valueOf(90, overhang)).toBe(1);
		expect(valueOf(0, strings)).toBe(1);
		expect(valueOf(1.75, { direction: 'nearest', target: 1.75, scale: { low: 1.65, high: 1.85 } })).toBe(1);
		expect(valueOf(1.8, { direction: 'nearest', target: 1.75, scale: { low: 1.65, high: 1.85 } })).toBeCloseTo(0.5, 9);
		// A target that lies aside: the farther end of the scale is worth nothing.
		expect(valueOf(1.8, { direction: 'nearest', target: 1.75, scale: { low: 1.7, high: 1.95 } })).toBeCloseTo(0.75, 9);
	});
	it('of a whole list, value by value the same', () => {
		const xs = Float64Array.of(0.1, 29.9, 30, 42, 70, 79.99, 80, 90, 200);
		for (const def of [overhang, strings, costPerGoodKg({ costReference: 20 }), { ...overhang, direction: 'nearest' as const, target: 60 }])
			valuesOf(xs, def).forEach((worth, d) => expect(worth).toBeCloseTo(valueOf(xs[d] as number, def), 12));
		expect([...valuesOf(Float64Array.of(42, 200), overhang)]).toEqual([0.24, 1]);
		// An error that spools share: 2 standard deviations of 5 more, and 1 less.
		expect([...valuesOf(Float64Array.of(42, 60), overhang, { by: Float64Array.of(2, -1), times: 5 })]).toEqual([0.44, 0.5]);
	});
});

describe('gates', () => {
	it('pass, fail and undecided by the interval', () => {
		const gate = { op: 'atLeast' as const, limit: 60 };
		expect(judgeGate(finding(overhang, 70, 5), 'overhang', gate)).toMatchObject({ state: 'pass', by: 10 });
		expect(judgeGate(finding(overhang, 62, 5), 'overhang', gate)).toMatchObject({ state: 'undecided', by: 2 });
		expect(judgeGate(finding(overhang, 50, 5), 'overhang', gate)).toMatchObject({ state: 'fail', by: -10 });
		expect(judgeGate(undefined, 'overhang', gate)).toMatchObject({ state: 'undecided', by: null, n: 0 });
		expect(judgeGate(finding(cost, 30), 'costPerGoodKg', { op: 'atMost', limit: 30 }).state).toBe('pass');
	});
	it('who fails one stands behind all who do not', () => {
		const rows = rank(
			input(
				[candidate('KA1', { overhang: [50, 2], strings: [0] }), candidate('KA2', { overhang: [62, 2], strings: [3] })],
				[weigh('overhang', 1, { op: 'atLeast', limit: 60 }), weigh('strings', 9)]
			)
		);
		expect(rows.map((r) => [r.code, r.eligible])).toEqual([
			['KA2', true],
			['KA1', false]
		]);
	});
});

describe('ranking', () => {
	const a = candidate('KA1', { overhang: [70], strings: [0], costPerGoodKg: [30] });
	const b = candidate('KA2', { overhang: [60], strings: [1], costPerGoodKg: [15] });
	const criteria = [weigh('overhang', 4), weigh('strings', 4), weigh('costPerGoodKg', 4)];

	it('adds weighted values (arithmetic)', () => {
		const [first] = rank(input([a, b], criteria));
		// KA1: 0.8, 1, and 30 of a reference of 20, log2(40 / 30) / 2 = 0.2075; KA2: 0.6, 2/3, log2(40 / 15) / 2 = 0.7075.
		const worthOf30 = Math.log2(40 / 30) / 2;
		expect(first).toMatchObject({ code: 'KA1', place: 1 });
		expect(first?.score).toBeCloseTo((0.8 + 1 + worthOf30) / 3, 9);
		expect(first?.worth).toBeCloseTo(0.9, 9);
	});
	it('follows the value rule', () => {
		expect(rank(input([a, b], criteria, 'cheapest'))[0]?.code).toBe('KA2');
		expect(rank(input([a, b], criteria, 'perMoney'))[0]?.code).toBe('KA2');
	});
	it('equal rank value shares a place', () => {
		const rows = rank(
			input(
				[candidate('KA3', { overhang: [70] }), candidate('KA2', { overhang: [70] }), candidate('KA1', { overhang: [50] })],
				[weigh('overhang', 1)]
			)
		);
		expect(rows.map((r) => [r.code, r.place])).toEqual([
			['KA2', 1],
			['KA3', 1],
			['KA1', 3]
		]);
	});
	it('missing is not zero', () => {
		const [row] = rank(input([candidate('KA1', {})], [weigh('overhang', 1)]));
		expect(row?.score).toBeGreaterThan(0.3);
		expect(row?.knownShare).toBe(0);
	});
	it('no rank turns when a spool joins or leaves', () => {
		const arb = fc.array(fc.tuple(fc.integer({ min: 30, max: 80 }), fc.integer({ min: 0, max: 3 }), fc.integer({ min: 5, max: 60 })), {
			minLength: 3,
			maxLength: 7
		});
		fc.assert(
			fc.property(arb, (triples) => {
				const all = triples.map(([o, s, c], i) => candidate(`KA${i}`, { overhang: [o], strings: [s], costPerGoodKg: [c] }));
				const order = (cs: Candidate[]) => rank(input(cs, criteria)).map((r) => r.code);
				const left = order(all.slice(1));
				expect(order(all).filter((code) => left.includes(code))).toEqual(left);
			})
		);
	});
});

describe('cost, in ratios', () => {
	const worth = (x: number, reference = 20) => valueOf(x, costPerGoodKg({ costReference: reference }));
	it('half the reference price is worth 1, double is worth 0, and between them equal ratios are worth the same', () => {
		expect([10, 20, 40].map((x) => worth(x))).toEqual([1, 0.5, 0]);
		expect(worth(10 * Math.SQRT2)).toBeCloseTo(0.75, 12);
		expect([8, 60].map((x) => worth(x))).toEqual([1, 0]);
	});
	it('means the same in every currency', () => {
		expect(worth(220, 200)).toBeCloseTo(worth(22, 20), 12);
	});
	it('a price that nobody knows is worth what the known ones are on average: neither better nor worse', () => {
		const input_ = input(
			[
				candidate('KA1', { overhang: [60], costPerGoodKg: [10] }),
				candidate('KA2', { overhang: [60], costPerGoodKg: [40] }),
				candidate('KA3', { overhang: [60] })
			],
			[weigh('overhang', 1), weigh('costPerGoodKg', 1)]
		);
		const rows = rank(input_);
		expect(rows.map((r) => r.code)).toEqual(['KA1', 'KA3', 'KA2']);
		// (0.6 + (1 + 0) / 2) / 2
		expect(rows[1]?.score).toBeCloseTo(0.55, 9);
	});
	it('who tried and never finished a print stands behind all that did, whatever the rule', () => {
		const never: Candidate = {
			...candidate('KA9', { overhang: [80], strings: [0] })
		};
		never.findings.costPerGoodKg = {
			estimate: null,
			n: 2,
			interval: null,
			sampling: { kind: 'never', reason: { id: 'neverPrinted', params: { n: 2 } } },
			shared: [],
			method: 'costPerGoodKg'
		};
		const poor = candidate('KA1', { overhang: [35], strings: [3], costPerGoodKg: [39] });
		for (const rule of VALUE_RULES) {
			const given = input([never, poor], [weigh('overhang', 1, { op: 'atLeast', limit: 40 })], rule);
			expect(rank(given).map((r) => r.code)).toEqual(['KA1', 'KA9']);
			expect(chances(given, 100, 1).places['id-KA1']?.[0]).toBe(1);
		}
	});
});

describe('the cheapest of the best tier', () => {
	const criteria = [weigh('overhang', 1)];
	const of = (...spools: Candidate[]) => input(spools, criteria, 'cheapestOfBest');
	it('of those that cannot be told apart the cheapest is first, not the one that is best on average', () => {
		const rows = rank(
			of(
				candidate('KA1', { overhang: [66, 8], costPerGoodKg: [30] }),
				candidate('KA2', { overhang: [64, 8], costPerGoodKg: [18] }),
				candidate('KA3', { overhang: [40, 4], costPerGoodKg: [12] })
			)
		);
		expect(rows.map((r) => [r.code, r.tier, r.place])).toEqual([
			['KA2', 0, 1],
			['KA1', 0, 2],
			['KA3', 1, 3]
		]);
	});
	it('within a tier who has no price comes after who has one', () => {
		const rows = rank(of(candidate('KA1', { overhang: [66, 8] }), candidate('KA2', { overhang: [64, 8], costPerGoodKg: [39] })));
		expect(rows.map((r) => r.code)).toEqual(['KA2', 'KA1']);
	});
	it('the chance is that of being the best, without cost', () => {
		const given = of(
			candidate('KA1', { overhang: [70, 4], costPerGoodKg: [40] }),
			candidate('KA2', { overhang: [60, 4], costPerGoodKg: [10] })
		);
		// Student t with 20 df and scale 2 each: difference 10, scale 2 sqrt 2; nearly certain.
		expect(chances(given, 2000, 3).places['id-KA1']?.[0]).toBeGreaterThan(0.98);
	});
	it('who misses a limit is in no tier', () => {
		const rows = rank(
			input(
				[candidate('KA1', { overhang: [70, 2], strings: [3] }), candidate('KA2', { overhang: [60, 2], strings: [0] })],
				[weigh('overhang', 1), weigh('strings', 0, { op: 'atMost', limit: 1 })],
				'cheapestOfBest'
			)
		);
		expect(rows.map((r) => [r.code, r.tier])).toEqual([
			['KA2', 0],
			['KA1', null]
		]);
	});
});

describe('references', () => {
	it('are looked at beside the others and take no place, no tier and no chance', () => {
		const spools = [
			candidate('KA1', { overhang: [60, 8] }),
			candidate('KA2', { overhang: [66, 8] }),
			candidate('KA3', { overhang: [79, 1] })
		];
		const of = (some: Candidate[]) => input(some, [weigh('overhang', 1)]);
		const given = of(spools);
		const two = of(spools.slice(0, 2));
		const alone = pickFrom(two, blocksOf(two, 400, 1));
		const beside = pickFrom({ ...given, references: ['id-KA3'] }, blocksOf(given, 400, 1));
		expect(beside.rows.map((r) => [r.code, r.place, r.tier])).toEqual(alone.rows.map((r) => [r.code, r.place, r.tier]));
		expect(beside.chances.places).toEqual(alone.chances.places);
		expect(beside.references.map((r) => [r.code, r.place, r.tier])).toEqual([['KA3', 0, null]]);
		expect(beside.references[0]?.worth).toBeGreaterThan(beside.rows[0]?.worth ?? 1);
	});
});

describe('families', () => {
	it('of a candidate are told with their range, heaviest first, cost left out', () => {
		const spools = [candidate('KA1', { overhang: [60, 8] })];
		const given = { ...input(spools, []), criteria: [{ quantity: 'overhang', weight: 2, gate: null, family: 'looks' as const }] };
		const [row] = pickFrom(given, blocksOf(given, 400, 1)).rows;
		expect(row?.families).toHaveLength(1);
		expect(row?.families[0]).toMatchObject({ id: 'family.looks', weight: 2, known: true });
		// 60 of 30 to 80.
		expect(row?.families[0]?.value).toBeCloseTo(0.6, 2);
	});
});

describe('chances', () => {
	const clear = [candidate('KA1', { overhang: [75, 2] }), candidate('KA2', { overhang: [45, 2] })];
	const close = [candidate('KA1', { overhang: [65, 8] }), candidate('KA2', { overhang: [65, 8] })];
	const criteria = [weigh('overhang', 1)];

	it('are the same for the same seed', () => {
		expect(chances(input(close, criteria), 500, 7)).toEqual(chances(input(close, criteria), 500, 7));
	});
	it('a clear lead is certain, equals share', () => {
		expect(chances(input(clear, criteria), 500, 1).places['id-KA1']?.[0]).toBe(1);
		const share = chances(input(close, criteria), 4000, 1).places['id-KA1']?.[0] as number;
		// Binomial standard error at 4000 draws is 0.8 %.
		expect(Math.abs(share - 0.5)).toBeLessThan(0.03);
	});
	it('agree with the closed form for two normals', () => {
		const pair = [candidate('KA1', { overhang: [62, 4] }), candidate('KA2', { overhang: [60, 4] })];
		// Student t with 20 df and scale 2 each: difference 2, sd 2 sqrt(2) sqrt(20/18); P > 0 is about Phi(2 / 2.98) = 0.749.
		const share = chances(input(pair, criteria), 8000, 3).places['id-KA1']?.[0] as number;
		expect(Math.abs(share - 0.749)).toBeLessThan(0.02);
	});
	it('an error that both share is drawn once and does not blur who is first', () => {
		const shared = (code: string, at: number): Candidate => {
			const one = candidate(code, { overhang: [at, 0.2] });
			const found = one.findings.overhang;
			return found ? { ...one, findings: { overhang: { ...found, shared: [{ source: 'scorer Ada', sd: 10 }] } } } : one;
		};
		const same = chances(input([shared('KA1', 56), shared('KA2', 54)], criteria), 2000, 3);
		// All but the few draws in which both are beyond an end of the scale, and so alike.
		expect(same.places['id-KA1']?.[0]).toBeGreaterThan(0.99);
		// It stays in the range of each: 56 with a shared error of 10 is worth 0.52 with 1.96 x 0.2 either way.
		expect(same.worth['id-KA1']?.high).toBeCloseTo(0.52 + 1.96 * 0.2, 1);
		expect(same.worth['id-KA1']?.low).toBeCloseTo(0.52 - 1.96 * 0.2, 1);
	});
	it('places of a spool and spools of a place sum to one', () => {
		const three = [...close, candidate('KA3', { strings: [1, 1] })];
		const r = chances(input(three, [weigh('overhang', 1), weigh('strings', 1)]), 300, 5);
		for (const places of Object.values(r.places)) expect(places.reduce((x, y) => x + y, 0)).toBeCloseTo(1, 9);
		for (const place of [0, 1, 2]) expect(Object.values(r.places).reduce((sum, p) => sum + (p[place] as number), 0)).toBeCloseTo(1, 9);
	});
	it('an undecided gate costs chance, not the place', () => {
		const gated = [candidate('KA1', { overhang: [60, 6], strings: [0] }), candidate('KA2', { overhang: [75, 2], strings: [2] })];
		const share = chances(input(gated, [weigh('overhang', 0, { op: 'atLeast', limit: 60 }), weigh('strings', 1)]), 4000, 2).places[
			'id-KA1'
		]?.[0] as number;
		expect(Math.abs(share - 0.5)).toBeLessThan(0.04);
	});
	it('a weight that moves and a spool that joins leave the draws of the others as they are', () => {
		const drawnOf = (spools: Candidate[], quantity: string) => [...blocksOf({ candidates: spools, defs: DEFS }, 50, 9)][0]?.raw(quantity);
		expect(drawnOf([...close, ...clear], 'overhang')?.slice(0, 2)).toEqual(drawnOf(close, 'overhang'));
	});
	it('more draws than are made at a time are pieced together', () => {
		const many = chances(input(close, criteria), 9000, 1);
		expect(many.draws).toBe(9000);
		expect((many.places['id-KA1']?.[0] as number) + (many.places['id-KA2']?.[0] as number)).toBeCloseTo(1, 9);
		expect(Math.abs((many.places['id-KA1']?.[0] as number) - 0.5)).toBeLessThan(0.02);
	});
});

describe('efficient edge', () => {
	it('keeps what nothing beats in both', () => {
		expect(
			paretoEdge([
				{ id: 'dear', worth: 0.9, cost: 40 },
				{ id: 'beaten', worth: 0.7, cost: 25 },
				{ id: 'good', worth: 0.8, cost: 20 },
				{ id: 'cheap', worth: 0.5, cost: 12 }
			])
		).toEqual(['cheap', 'good', 'dear']);
	});
});

describe('explanation', () => {
	const a = candidate('KA1', { overhang: [70], strings: [0], costPerGoodKg: [30] });
	const b = candidate('KA2', { overhang: [60], strings: [1], costPerGoodKg: [15, 4] });
	const criteria = [weigh('overhang', 4), weigh('strings', 4), weigh('costPerGoodKg', 4)];
	const given = input([a, b], criteria);
	// Worked out within each test: what is worked out beside them belongs to none, and its faults are looked for in vain.
	const said = () => explain(given, rank(given));

	it('says nothing of weights under a rule that does not add them', () => {
		const money = input([a, b], criteria, 'perMoney');
		expect(explain(money, rank(money))).toMatchObject({ decidedBy: null, turnsAt: null });
	});
	it('names what decided', () => expect(said().decidedBy?.quantity).toBe('strings'));
	it('the named weight really turns the order, and not before', () => {
		const turn = said().turnsAt as { quantity: string; to: number };
		const at = (weight: number) =>
			rank(
				input(
					[a, b],
					criteria.map((c) => (c.quantity === turn.quantity ? { ...c, weight } : c))
				)
			)[0]?.code;
		expect(at(turn.to * 1.01)).not.toBe(at(turn.to * 0.99));
	});
	it('names the uncertain measurement, and what other rules pick', () => {
		expect(said().firmUp).toEqual({ quantity: 'costPerGoodKg', spoolId: 'id-KA2' });
		expect(said().otherRules).toEqual([
			{ rule: 'cheapestOfBest', spoolId: 'id-KA1' },
			{ rule: 'perMoney', spoolId: 'id-KA2' },
			{ rule: 'cheapest', spoolId: 'id-KA2' },
			// Nobody was loaded.
			{ rule: 'strongest', spoolId: null }
		]);
	});
});

describe('presets', () => {
	it.each(['fineLooks', 'benchJigs', 'outdoorBrackets', 'flexibleParts', 'own'] as const)('%s weighs cost and success', (preset) => {
		const quantities = presetCriteria(preset).map((c) => c.quantity);
		expect(quantities).toEqual(expect.arrayContaining(['family.printsEasily', 'family.cost']));
	});
});
