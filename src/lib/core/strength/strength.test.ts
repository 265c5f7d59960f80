import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evidence, load, basis, specimen } from '../../../../tests/support/evidence';
import type { Specimen } from '../evidence/specimen';
import type { Finding } from '../finding/types';
import { compare } from '../compare/compare';
import { withHouse } from '../house/borrowed-scatter';
import { readReading } from '../readings/read-reading';
import { BY_HAND_WORDS, FAILURE_WORDS } from './words';
import { kindOf, specimenKinds } from './kinds';
import { meanStrength } from './mean-strength';
import { observe, observedSpecimens } from './observe';
import { strengthLoad } from './quantities';
import { strengthStation } from './station';

const failure = (word: (typeof FAILURE_WORDS)[number]) => FAILURE_WORDS.indexOf(word);
/** A spool whose specimens broke at these loads, directly read. */
function direct(loads: number[], more: Partial<Specimen> = {}) {
	const specimens = loads.map(() => specimen({ method: 'direct', ...more }));
	return evidence({ specimens, readings: loads.map((n, i) => load(specimens[i] as Specimen, 'loadBroke', n)) });
}
const rules = (spools: ReturnType<typeof evidence>[]) => ({ ...basis, specimenKinds: specimenKinds(spools) });
const find = (e: ReturnType<typeof evidence>, p = rules([e])) => strengthStation.find(e, p, 0)[0] as Finding;

describe('loads as typed (1 lb = 0.45359237 kg, g_n = 9.80665 m/s2, exact)', () => {
	it.each([
		['25 lb', 25 * 0.45359237 * 9.80665],
		['10 kg', 98.0665],
		['10 kgf', 98.0665],
		['25 lbf', 25 * 0.45359237 * 9.80665],
		['98,0665 N', 98.0665],
		['500 g', 4.903325],
		['16 oz', 0.45359237 * 9.80665]
	])('%s', (typed, newtons) => {
		const read = readReading('loadBroke', typed);
		expect(read.ok && read.value).toBeCloseTo(newtons, 9);
	});
	it('keeps the text and the unit typed, and refuses what is no load', () => {
		expect(readReading('loadHeld', '20 lb')).toMatchObject({ typedText: '20 lb', typedUnit: 'lb' });
		expect(readReading('loadHeld', '20 mm')).toMatchObject({ ok: false, reason: 'unknownUnit' });
		expect(readReading('loadHeld', '-5')).toMatchObject({ ok: false, reason: 'notPositive' });
		expect(readReading('blowsBroke', '2.5')).toMatchObject({ ok: false, reason: 'notWhole' });
		expect(readReading('failure', 'Layers')).toMatchObject({ ok: true, value: 2 });
	});
});

describe('what one specimen says', () => {
	const s = specimen();
	const said = (of: Specimen, ...readings: [string, number][]) =>
		observe(
			of,
			readings.map(([q, v]) => load(of, q, v))
		).observation;
	it('held and broke in steps: the interval between', () => {
		expect(said(s, ['loadHeld', 44.5], ['loadHeld', 89], ['loadBroke', 111])).toEqual({ low: 89, high: 111 });
	});
	it('broke at the first step: anything below', () => expect(said(s, ['loadBroke', 44.5])).toEqual({ low: 0, high: 44.5 }));
	it('never broke: what it held', () => expect(said(s, ['loadHeld', 44.5], ['loadHeld', 111])).toEqual({ low: 111, high: null }));
	it('the bucket hangs there all along', () => {
		const o = said(s, ['bucketMass', 450], ['loadHeld', 89], ['loadBroke', 111]);
		expect(o?.low).toBeCloseTo(89 + 0.45 * 9.80665, 9);
		expect(o?.high).toBeCloseTo(111 + 0.45 * 9.80665, 9);
	});
	it('a rig reads the load itself', () =>
		expect(said(specimen({ method: 'direct' }), ['loadBroke', 314])).toEqual({ low: 314, high: 314 }));
	it('one that slipped from its grip did not break', () => {
		expect(said(s, ['loadHeld', 89], ['loadBroke', 111], ['failure', failure('slipped')])).toEqual({ low: 111, high: null });
	});
	it('the fifth blow that broke it lies between four and five', () => {
		expect(said(specimen({ method: 'blows' }), ['blowsBroke', 5])).toEqual({ low: 4, high: 5 });
		expect(said(specimen({ method: 'blows' }), ['blowsHeld', 10])).toEqual({ low: 10, high: null });
	});
	it('by hand has no load; nothing read says nothing', () => {
		expect(said(specimen({ method: 'byHand' }), ['byHand', 2])).toBeNull();
		expect(said(s)).toBeNull();
	});
	it('readings struck out do not count, nor do those of other specimens', () => {
		const readings = [load(s, 'loadHeld', 89), load(s, 'loadBroke', 95, { status: 'excluded' }), load(specimen(), 'loadBroke', 90)];
		expect(observe(s, readings).observation).toEqual({ low: 89, high: null });
		expect(observedSpecimens(evidence({ specimens: [{ ...s, status: 'excluded' }], readings }))).toEqual([]);
	});
});

describe('mean strength', () => {
	const exact = (...loads: number[]) => loads.map((l) => ({ low: l, high: l }));
	it('all broke at a known load: mean with t', () => {
		const r = meanStrength(exact(102, 118, 121, 96, 130), 400, null);
		expect(r).toMatchObject({ n: 5, method: 'strengthMean', estimate: 113.4 });
		// Standard error 6.2897 and t(0.975, 4) = 2.7764 (tables): half-width 17.463
		expect((r?.interval.high ?? 0) - 113.4).toBeCloseTo(17.46, 1);
	});
	it('intervals and survivors are not thrown away', () => {
		const steps = [
			{ low: 89, high: 111 },
			{ low: 111, high: 133 },
			{ low: 67, high: 89 }
		];
		const r = meanStrength([...steps, { low: 133, high: null }], 400, null);
		expect(r?.method).toBe('strengthWeibull');
		expect(r?.messages.map((m) => m.id)).toEqual(['neverBroke', 'weibullFitted']);
		expect(r?.estimate).toBeGreaterThan(meanStrength(steps, 400, null)?.estimate ?? 999);
	});
	it('none broke: no estimate, a bound that counts', () => {
		const r = meanStrength(
			[
				{ low: 111, high: null },
				{ low: 133, high: null }
			],
			400,
			null
		);
		expect(r).toMatchObject({ estimate: null, method: 'strengthHeld', interval: { low: 122, high: 400 } });
	});
	it('all in the same step: bounds, no invented scatter', () => {
		expect(
			meanStrength(
				[
					{ low: 89, high: 111 },
					{ low: 89, high: 111 }
				],
				400,
				null
			)
		).toMatchObject({
			method: 'strengthBounds',
			estimate: 100,
			interval: { low: 89, high: 111 },
			logSd: null
		});
	});
	it('equal direct loads are not certain', () => {
		const r = meanStrength(exact(110, 110, 110), 400, null);
		expect((r?.interval.high ?? 0) - (r?.interval.low ?? 0)).toBeGreaterThan(0);
	});
	it('one specimen: wide bounds, or the scatter the house spool lends', () => {
		expect(meanStrength(exact(100), 400, null)).toMatchObject({ method: 'strengthBounds', interval: { low: 70, high: 130 } });
		const borrowed = meanStrength(exact(100), 400, { sd: 0.08, df: 4, n: 5, code: 'AB1' });
		expect(borrowed).toMatchObject({
			method: 'strengthBorrowed',
			n: 1,
			messages: [{ id: 'borrowedScatter', params: { code: 'AB1', n: 5 } }]
		});
		expect(borrowed?.interval.high).toBeLessThan(130);
	});
	it('nothing loaded, nothing said', () => expect(meanStrength([], 400, null)).toBeNull());
	it('the estimate always lies within its interval', () => {
		const one = fc
			.record({ low: fc.integer({ min: 1, max: 300 }), width: fc.integer({ min: 0, max: 60 }), held: fc.boolean() })
			.map(({ low, width, held }) => ({ low, high: held ? null : low + width }));
		fc.assert(
			fc.property(fc.array(one, { minLength: 1, maxLength: 9 }), (observations) => {
				const r = meanStrength(observations, 400, null);
				expect(r).not.toBeNull();
				if (!r || r.estimate === null) return;
				expect(Number.isFinite(r.estimate) && Number.isFinite(r.interval.low) && Number.isFinite(r.interval.high)).toBe(true);
				expect(r.interval.low).toBeLessThanOrEqual(r.estimate + 1e-9);
				expect(r.interval.high).toBeGreaterThanOrEqual(r.estimate - 1e-9);
			}),
			{ seed: 5, numRuns: 300 }
		);
	});
});

describe('the station', () => {
	it('compares one kind: the one most spools have', () => {
		const hook = direct([100], { shape: 'Hook' });
		const both = evidence({ specimens: [specimen({ method: 'direct' }), specimen({ method: 'direct', orientation: 'flat' })] });
		expect(specimenKinds([hook, both, direct([90], { orientation: 'flat', shape: 'bar' })]).load).toBe('hook · upright · direct');
		expect(kindOf({ shape: ' Hook ', orientation: 'flat', method: 'blows' })).toBe('hook · flat · blows');
	});
	it('other kinds stay on the spool page, as findings of their own', () => {
		const e = direct([100, 104]);
		const p = { ...rules([e]), specimenKinds: { load: 'bar · flat · direct', blows: null, byHand: null } };
		const findings = strengthStation.find(e, p, 0);
		expect(findings.map((f) => [f.subject.variant, f.n])).toEqual([
			['bar · flat · direct', 0],
			['hook · upright · direct', 2]
		]);
	});
	it('counts how they failed', () => {
		const s = specimen({ method: 'direct' });
		const e = evidence({ specimens: [s], readings: [load(s, 'loadBroke', 90), load(s, 'failure', failure('layers'))] });
		expect(find(e).messages.at(-1)).toEqual({ id: 'failed.layers', params: { count: 1 } });
	});
	it('by hand is a mark in words, blows are counted, each a column only where it was done', () => {
		const [hand, blow] = [specimen({ method: 'byHand' }), specimen({ method: 'blows' })];
		const e = evidence({
			specimens: [hand, blow],
			readings: [load(hand, 'byHand', BY_HAND_WORDS.indexOf('bends')), load(blow, 'blowsBroke', 3)]
		});
		const p = rules([e]);
		expect(strengthStation.find(e, p, 0).map((f) => [f.quantity, f.n])).toEqual([
			['strengthLoad', 0],
			['strengthBlows', 1],
			['strengthByHand', 1]
		]);
		expect(strengthStation.quantities(p).map((d) => d.onSheet)).toEqual([true, true, true]);
		expect(strengthStation.quantities(basis).map((d) => d.onSheet)).toEqual([true, false, false]);
	});
	it('letters: spools far apart get different ones', () => {
		const spools = [direct([100, 104, 98, 102]), direct([101, 103, 99, 104]), direct([200, 205, 198, 203])];
		const p = rules(spools);
		const given = compare(
			spools.map((e) => find(e, p)),
			strengthLoad(p),
			p
		).letters;
		expect(spools.map((e) => given[e.spool.id])).toEqual(['b', 'b', 'a']);
	});
	it('the house spool lends its scatter to single specimens, and says so', () => {
		const house = direct([100, 110, 104, 96]);
		const one = direct([150]);
		const p = withHouse(rules([house, one]), house, [strengthStation]);
		expect(p.borrowed).toMatchObject([{ quantity: 'strengthLoad', n: 4, relative: true, code: 'KA1' }]);
		expect(find(one, p)).toMatchObject({ method: 'strengthBorrowed', grade: 'thin' });
		expect(find(house, p).method).toBe('strengthMean');
		expect(withHouse(rules([house]), direct([100, 110]), [strengthStation]).borrowed).toEqual([]);
	});
});
