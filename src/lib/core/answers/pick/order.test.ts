import { describe, expect, it } from 'vitest';
import type { Sampling } from '../../judging/finding/types';
import type { DrawnQuantities } from './drawn-quantities';
import { hasLoad, hasPrice, neverFinished, standings } from './order';
import type { Candidate } from './types';

const candidate = (code: string, given: { cost?: Sampling['kind']; n?: number } = {}): Candidate => ({
	spoolId: code,
	code,
	findings: {
		...(given.cost ? { costPerGoodKg: { sampling: { kind: given.cost }, n: 1 } } : {}),
		...(given.n === undefined ? {} : { strengthLoad: { sampling: { kind: 'exact' }, n: given.n } })
	} as unknown as Candidate['findings']
});

/** Two draws of each of four spools: priced and loaded, without a price, missing a limit in the second draw, never finished. */
const FOUR = [
	candidate('KA1', { cost: 'exact', n: 3 }),
	candidate('KA2', { n: 0 }),
	candidate('KA3', { cost: 'exact', n: 1 }),
	candidate('KA4', { cost: 'never', n: 2 })
];
const rows = (...values: [number, number][]) => values.map((v) => Float64Array.from(v));
const WEIGHING = {
	score: rows([0.5, 0.6], [0.4, 0.4], [0.3, 0.3], [0.9, 0.9]),
	worth: rows([0.8, 0.6], [0.7, 0.7], [0.5, 0.4], [0.9, 0.9]),
	passes: [
		[1, 1],
		[1, 1],
		[1, 0],
		[1, 1]
	].map((p) => Uint8Array.from(p))
} as unknown as Parameters<typeof standings>[2];
const asked: string[] = [];
const DRAWN = {
	raw: (quantity: string) => {
		asked.push(quantity);
		return quantity === 'costPerGoodKg' ? rows([20, 30], [99, 99], [10, 10], [1, 1]) : rows([250, 240], [999, 999], [100, 110], [500, 500]);
	}
} as unknown as DrawnQuantities;
const under = (rule: Parameters<typeof standings>[3]) => standings(FOUR, DRAWN, WEIGHING, rule).map((one) => [...one]);

describe('where spools stand by a rule, draw by draw', () => {
	// The third misses a limit in its second draw, the fourth never finished a print: behind, and there by what they are worth.
	const MISSED = -1e12 + 0.4;
	const NEVER = [-1e15 + 0.9, -1e15 + 0.9];

	it('value with cost, and value without', () => {
		expect(under('weighted')).toEqual([[0.5, 0.6], [0.4, 0.4], [0.3, MISSED], NEVER]);
		expect(under('cheapestOfBest')).toEqual([[0.8, 0.6], [0.7, 0.7], [0.5, MISSED], NEVER]);
	});
	it('value per money, and the least cost; without a price behind all that have one', () => {
		expect(under('perMoney')).toEqual([[0.8 / 20, 0.6 / 30], [-1e9, -1e9], [0.05, MISSED], NEVER]);
		expect(under('cheapest')).toEqual([[-20, -30], [-1e9, -1e9], [-10, MISSED], NEVER]);
	});
	it('the greatest load; behind who was not loaded', () => {
		expect(under('strongest')).toEqual([[250, 240], [-1e9, -1e9], [100, MISSED], NEVER]);
	});
	it('draws nothing that the rule does not go by', () => {
		const of = (rule: Parameters<typeof standings>[3]) => {
			asked.length = 0;
			under(rule);
			return [...asked];
		};
		expect(['weighted', 'cheapestOfBest', 'perMoney', 'cheapest', 'strongest'].map((rule) => of(rule as 'weighted'))).toEqual([
			[],
			[],
			['costPerGoodKg'],
			['costPerGoodKg'],
			['strengthLoad']
		]);
	});
});

describe('what a rule can go by', () => {
	it('a price is one that is known, of a spool that finished a print', () => {
		const of = (cost?: Sampling['kind']) => hasPrice(candidate('KA1', cost ? { cost } : {}));
		expect([of('exact'), of('t'), of('unknown'), of('never'), of()]).toEqual([true, true, false, false, false]);
		expect(FOUR.map(neverFinished)).toEqual([false, false, false, true]);
	});
	it('a load is one that was hung', () => {
		expect([...FOUR, candidate('KA5')].map(hasLoad)).toEqual([true, false, true, true, false]);
	});
});
