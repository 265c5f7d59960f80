import { describe, expect, it } from 'vitest';
import { say } from '../../judging/finding/message';
import type { QuantityDef, Sampling, SharedPart } from '../../judging/finding/types';
import { meanOf } from './drawn-quantities';
import { blocksOf } from './pick-from';
import type { Candidate } from './types';

const def = (id: string, more: Partial<QuantityDef> = {}): QuantityDef => ({
	id,
	station: 'prints',
	unit: 'deg',
	direction: 'more',
	target: null,
	scale: { low: 0, high: 100 },
	prior: { low: 20, high: 80 },
	differenceThatMatters: 5,
	figure: 'dot',
	onSheet: true,
	family: 'looks',
	...more
});
const overhang = def('overhang');
const cost = def('costPerGoodKg', { unit: 'money/kg', direction: 'less', family: 'cost', scale: { low: 0, high: 100 } });

const exact = (value: number): Sampling => ({ kind: 'exact', value });
const spool = (code: string, findings: Record<string, { sampling: Sampling; shared?: SharedPart[] }>): Candidate => ({
	spoolId: code,
	code,
	findings: Object.fromEntries(
		Object.entries(findings).map(([id, f]) => [id, { estimate: null, n: 1, interval: null, method: 'm', shared: [], ...f }])
	)
});
function drawn(candidates: Candidate[], defs: QuantityDef[], draws = 1024) {
	const [block] = blocksOf({ candidates, defs }, draws, 7);
	if (!block) throw new Error('no block');
	return block;
}
const list = (values: Float64Array | undefined) => [...(values ?? [])];
const sdOf = (values: number[]) => {
	const mean = values.reduce((a, b) => a + b, 0) / values.length;
	return Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
};

describe('an error that spools share', () => {
	const ada = { source: 'scorer Ada', sd: 10 };
	const caliper = { source: 'caliper', sd: 5 };

	it('moves each by as much in every draw, so that what parts them stays as it is', () => {
		const [a, b] = drawn(
			[
				spool('KA1', { overhang: { sampling: exact(50), shared: [ada] } }),
				spool('KA2', { overhang: { sampling: exact(40), shared: [ada] } })
			],
			[overhang]
		).raw('overhang');
		const moved = list(a).map((x) => x - 50);
		expect(sdOf(moved)).toBeCloseTo(10, 1);
		expect(Math.max(...list(a).map((x, d) => Math.abs(x - (b?.[d] as number) - 10)))).toBeLessThan(1e-9);
	});
	it('moves what a value is worth in the same draws as the value', () => {
		const of = drawn([spool('KA1', { overhang: { sampling: exact(50), shared: [ada] } })], [overhang]);
		const [raw, worth] = [list(of.raw('overhang')[0]), list(of.values('overhang')[0])];
		expect(Math.max(...worth.map((w, d) => Math.abs(w - Math.min(1, Math.max(0, (raw[d] as number) / 100)))))).toBeLessThan(1e-9);
		expect(sdOf(worth)).toBeCloseTo(0.1, 2);
	});
	it('adds to another one, which is drawn by itself', () => {
		const of = drawn([spool('KA1', { overhang: { sampling: exact(50), shared: [ada, caliper] } })], [overhang]);
		expect(sdOf(list(of.raw('overhang')[0]))).toBeCloseTo(Math.hypot(10, 5), 0);
		expect(sdOf(list(of.values('overhang')[0]))).toBeCloseTo(Math.hypot(0.1, 0.05), 2);
	});
	it('is none where there is none: the value stands still', () => {
		const of = drawn([spool('KA1', { overhang: { sampling: exact(50) } })], [overhang]);
		expect(new Set(list(of.raw('overhang')[0]))).toEqual(new Set([50]));
		expect(new Set(list(of.values('overhang')[0]))).toEqual(new Set([0.5]));
	});
});

describe('what drawn values are worth on average', () => {
	const bounds: Sampling = { kind: 'bounds', low: 20, high: 60 };
	it.each([1024, 512, 2])('is that of the very values drawn, of %d draws', (draws) => {
		const of = drawn([spool('KA1', { overhang: { sampling: bounds } }), spool('KA2', {})], [overhang], draws);
		expect(of.draws).toBe(draws);
		for (const i of [0, 1]) expect(of.meanWorth('overhang', i)).toBeCloseTo(meanOf(of.values('overhang')[i] as Float64Array), 12);
	});
	it('also of the last block, which may be a short one, and with an error that is shared', () => {
		const shared = [{ source: 'scorer Ada', sd: 30 }];
		const given = { candidates: [spool('KA1', { overhang: { sampling: bounds, shared } })], defs: [overhang] };
		const blocks = [...blocksOf(given, 1500, 7)];
		expect(blocks.map((b) => b.draws)).toEqual([1024, 476]);
		for (const block of blocks) expect(block.meanWorth('overhang', 0)).toBeCloseTo(meanOf(block.values('overhang')[0] as Float64Array), 12);
	});
	it('takes each of as many equally likely values once, the middle of its part', () => {
		const [values] = drawn([spool('KA1', { overhang: { sampling: bounds } })], [overhang]).raw('overhang');
		expect(new Set(list(values)).size).toBe(1024);
		expect(Math.min(...list(values)) + Math.max(...list(values))).toBeCloseTo(80, 9);
		expect(meanOf(values as Float64Array)).toBeCloseTo(40, 9);
	});
	it('is nothing for a quantity that is not defined', () => {
		const of = drawn([spool('KA1', {}), spool('KA2', {})], [overhang]);
		expect(of.raw('nothing').map(list)).toEqual([Array(1024).fill(0), Array(1024).fill(0)]);
		expect(of.meanWorth('nothing', 1)).toBe(0);
		expect(meanOf(new Float64Array(0))).toBe(0);
	});
});

describe('a price that nobody knows', () => {
	const unknown: Sampling = { kind: 'unknown', reason: say('noReadings') };
	it('is worth what the known ones are on average, in every draw', () => {
		const of = drawn(
			[
				spool('KA1', { costPerGoodKg: { sampling: exact(20) } }),
				spool('KA2', { costPerGoodKg: { sampling: exact(60) } }),
				spool('KA3', { costPerGoodKg: { sampling: unknown } }),
				spool('KA4', {})
			],
			[cost]
		).values('costPerGoodKg');
		expect(of.map((values) => [...new Set(list(values).map((v) => v.toFixed(9)))])).toEqual([
			['0.800000000'],
			['0.400000000'],
			['0.600000000'],
			['0.600000000']
		]);
	});
	it('is worth the middle where none is known', () => {
		const of = drawn([spool('KA1', {}), spool('KA2', { costPerGoodKg: { sampling: unknown } })], [cost]).values('costPerGoodKg');
		expect(of.map((values) => [...new Set(list(values))])).toEqual([[0.5], [0.5]]);
	});
});
