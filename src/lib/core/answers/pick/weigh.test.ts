import { describe, expect, it } from 'vitest';
import type { QuantityDef } from '../../judging/finding/types';
import type { DrawnQuantities } from './drawn-quantities';
import type { Candidate, PickInput } from './types';
import { groupsOf, weigh } from './weigh';

type Criteria = PickInput['criteria'];
const QUANTITIES = ['overhang', 'bridge', 'strings', 'surface', 'ease', 'lift', 'costPerGoodKg'];
const defs = QUANTITIES.map((id) => ({ id })) as unknown as QuantityDef[];
const criterion = (quantity: string, weight: number, gate: Criteria[number]['gate'] = null) => ({ quantity, weight, gate });
const candidate = (code: string, findings: object = {}): Candidate => ({ spoolId: code, code, findings }) as unknown as Candidate;

/** Two draws of two spools, by quantity; what is raw is what is worth unless it is said otherwise. */
function drawnOf(values: Record<string, [number, number][]>, raw: Record<string, [number, number][]> = {}) {
	const rows = (of: [number, number][] | undefined) => (of ?? []).map((pair) => Float64Array.from(pair));
	return {
		draws: 2,
		values: (quantity: string) => rows(values[quantity]),
		raw: (quantity: string) => rows(raw[quantity] ?? values[quantity])
	} as unknown as DrawnQuantities;
}
const BOTH = [candidate('KA1'), candidate('KA2')];
const weighed = (drawn: DrawnQuantities, criteria: Criteria, candidates = BOTH) => weigh(drawn, { candidates, criteria, defs });
const plain = (rows: readonly Float64Array[]) => rows.map((row) => [...row].map((v) => Number(v.toFixed(12))));

describe('what spools come to', () => {
	const six = Object.fromEntries(
		QUANTITIES.slice(0, 6).map((id, i): [string, [number, number][]] => [id, [[0.1 * i, 0.9 - 0.1 * i], [0.5, 0.1 * i]]]) // prettier-ignore
	);
	it('is the sum of more than four values by their shares, in each draw', () => {
		const weights = [3, 1, 2, 1, 2, 1];
		const criteria = QUANTITIES.slice(0, 6).map((id, i) => criterion(id, weights[i] as number));
		const sum = (of: number[]) => of.reduce((total, v, i) => total + (v * (weights[i] as number)) / 10, 0);
		const at = (spool: number, draw: number) => sum(QUANTITIES.slice(0, 6).map((id) => six[id]?.[spool]?.[draw] ?? NaN));
		expect(plain(weighed(drawnOf(six), criteria).worth)).toEqual([0, 1].map((s) => [0, 1].map((d) => Number(at(s, d).toFixed(12)))));
	});
	it('leaves out what weighs nothing and what is no quantity', () => {
		const drawn = drawnOf({ overhang: [[0.2, 0.4], [0.6, 0.8]], bridge: [[1, 1], [1, 1]], nothing: [[9, 9], [9, 9]] }); // prettier-ignore
		const { worth, groups } = weighed(drawn, [criterion('overhang', 2), criterion('bridge', 0), criterion('nothing', 5)]);
		expect(plain(worth)).toEqual([[0.2, 0.4], [0.6, 0.8]]); // prettier-ignore
		expect(groups.map((g) => g.id)).toEqual(['overhang']);
	});
	it('takes cost in by its share of all, and leaves worth without it', () => {
		const drawn = drawnOf({ overhang: [[0.2, 0.4], [0.6, 0.8]], costPerGoodKg: [[1, 0.5], [0, 0.5]] }); // prettier-ignore
		const { worth, score } = weighed(drawn, [criterion('overhang', 3), criterion('costPerGoodKg', 1)]);
		expect(plain(worth)).toEqual([[0.2, 0.4], [0.6, 0.8]]); // prettier-ignore
		expect(plain(score)).toEqual([[0.4, 0.425], [0.45, 0.725]]); // prettier-ignore
		const without = weighed(drawn, [criterion('overhang', 3)]);
		expect(without.score).toBe(without.worth);
	});
	it('goes by families, and a quantity without one stands by itself', () => {
		const all = [
			{ ...criterion('overhang', 2), family: 'looks' },
			{ ...criterion('bridge', 1), family: 'looks' },
			{ ...criterion('strings', 0), family: 'looks' },
			criterion('ease', 4),
			{ ...criterion('costPerGoodKg', 5), family: 'cost' }
		] as Parameters<typeof groupsOf>[0];
		expect(groupsOf(all).map((g) => [g.id, g.weight, g.members.length])).toEqual([['family.looks', 3, 2], ['ease', 4, 1]]); // prettier-ignore
	});
});

describe('limits', () => {
	const drawn = drawnOf({ overhang: [[45, 44.999], [60, 45 - 1e-10]], costPerGoodKg: [[20, 20.001], [30, 5]] }); // prettier-ignore
	const passes = (criteria: Criteria, candidates = BOTH) => weighed(drawn, criteria, candidates).passes.map((p) => [...p]);
	it('of at least are met by what equals them, whatever its binary dust', () => {
		expect(passes([criterion('overhang', 1, { op: 'atLeast', limit: 45 })])).toEqual([[1, 0], [1, 1]]); // prettier-ignore
	});
	it('of at most the other way round', () => {
		expect(passes([criterion('costPerGoodKg', 0, { op: 'atMost', limit: 20 })])).toEqual([[1, 0], [0, 1]]); // prettier-ignore
	});
	it('must all be met, and those of no quantity are none', () => {
		const both: Criteria = [
			criterion('overhang', 1, { op: 'atLeast', limit: 45 }),
			criterion('costPerGoodKg', 0, { op: 'atMost', limit: 20 }),
			criterion('nothing', 1, { op: 'atLeast', limit: 1 })
		];
		expect(passes(both)).toEqual([[1, 0], [0, 1]]); // prettier-ignore
	});
	it('are not decided by a figure of the handbook', () => {
		const known = [candidate('KA1', { overhang: { method: 'handbook' } }), candidate('KA2', { overhang: { method: 'ladder' } })];
		expect(passes([criterion('overhang', 1, { op: 'atLeast', limit: 50 })], known)).toEqual([[1, 1], [1, 0]]); // prettier-ignore
	});
});
