import { betaQuantile, tQuantile } from './distributions';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/statistics.json';
import { combineUncertainties, rectangularUncertainty } from './combined-uncertainty';
import { meanInterval } from './mean-interval';
import { compareAtResolution } from './resolution';
import { wilsonInterval } from './wilson';

describe('mean and spread (NIST StRD univariate)', () => {
	it('NumAcc1: mean 10000002, SD 1', () => {
		const r = meanInterval([10000001, 10000003, 10000002]);
		expect(r.mean).toBe(10000002);
		expect(r.sd).toBe(1);
	});
	it('NumAcc2: mean 1.2, SD 0.1 to 13 digits', () => {
		const r = meanInterval([1.2, ...Array.from({ length: 1000 }, (_, i) => (i % 2 === 0 ? 1.1 : 1.3))]);
		expect(r.mean).toBeCloseTo(1.2, 13);
		expect(r.sd).toBeCloseTo(0.1, 13);
	});
	it('NumAcc4: mean 10000000.2, SD 0.1 to 8 digits', () => {
		const r = meanInterval([10000000.2, ...Array.from({ length: 1000 }, (_, i) => (i % 2 === 0 ? 10000000.1 : 10000000.3))]);
		expect(r.mean).toBeCloseTo(10000000.2, 7);
		expect(r.sd).toBeCloseTo(0.1, 8);
	});
	it('says nothing it cannot: no values, one value', () => {
		expect(meanInterval([])).toMatchObject({ n: 0, mean: null, low: null });
		expect(meanInterval([1.75])).toMatchObject({ n: 1, mean: 1.75, sd: null, low: null, high: null });
	});
	it.each(reference.meanIntervals)('matches scipy for $values', ({ values, mean, sd, low, high }) => {
		const r = meanInterval(values);
		expect(r.mean).toBeCloseTo(mean, 12);
		expect(r.sd).toBeCloseTo(sd, 12);
		expect(r.low).toBeCloseTo(low, 9);
		expect(r.high).toBeCloseTo(high, 9);
	});
	it('holds its mean and is never negative in width', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 2, maxLength: 50 }), (values) => {
				const r = meanInterval(values);
				expect(r.low as number).toBeLessThanOrEqual(r.mean as number);
				expect(r.high as number).toBeGreaterThanOrEqual(r.mean as number);
			})
		);
	});
});

describe('quantiles against scipy', () => {
	it.each(reference.tQuantiles)('t($p, $df)', ({ p, df, t }) => expect(tQuantile(p, df) / t).toBeCloseTo(1, 6));
	it.each(reference.betaQuantiles)('beta($p; $a, $b)', ({ p, a, b, x }) => expect(betaQuantile(p, a, b)).toBeCloseTo(x, 7));
});

describe('Wilson interval', () => {
	it.each(reference.wilson)('$x of $n matches scipy', ({ x, n, low, high }) => {
		const r = wilsonInterval(x, n);
		expect(r?.low).toBeCloseTo(low, 9);
		expect(r?.high).toBeCloseTo(high, 9);
	});
	it('is undefined for none, and refuses what is no count', () => {
		expect(wilsonInterval(0, 0)).toBeNull();
		expect(() => wilsonInterval(3, 2)).toThrow(RangeError);
		expect(() => wilsonInterval(0.5, 2)).toThrow(RangeError);
	});
	it('stays within 0 and 1, holds the observed share, mirrors', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 500 }), fc.double({ min: 0, max: 1, noNaN: true }), (n, share) => {
				const x = Math.round(n * share);
				const a = wilsonInterval(x, n) as { low: number; high: number };
				const b = wilsonInterval(n - x, n) as { low: number; high: number };
				expect(a.low).toBeGreaterThanOrEqual(0);
				expect(a.high).toBeLessThanOrEqual(1);
				expect(a.low).toBeLessThanOrEqual(x / n);
				expect(a.high).toBeGreaterThanOrEqual(x / n);
				expect(a.low).toBeCloseTo(1 - b.high, 12);
			})
		);
	});
});

describe('uncertainty budget (GUM)', () => {
	it('takes a stated limit as rectangular', () => expect(rectangularUncertainty(0.02)).toBeCloseTo(0.0115470054, 9));
	it('combines by squares with Welch-Satterthwaite', () => {
		const r = combineUncertainties([
			{ standardUncertainty: 3, df: 9 },
			{ standardUncertainty: 4, df: Infinity }
		]);
		expect(r.standardUncertainty).toBe(5);
		// 5^4 / (3^4 / 9) = 625 / 9 (arithmetic on G.2b).
		expect(r.df).toBeCloseTo(625 / 9, 9);
	});
	it('GUM H.1.6: 32 nm from its components has 16 effective degrees of freedom', () => {
		// JCGM 100:2008, H.1.6: u(ls) 25 nm with 18, u(d) 9.7 nm with 25.6, 2.9 nm with 50, 16.6 nm with 2.
		const r = combineUncertainties([
			{ standardUncertainty: 25, df: 18 },
			{ standardUncertainty: 9.7, df: 25.6 },
			{ standardUncertainty: 2.9, df: 50 },
			{ standardUncertainty: 16.6, df: 2 }
		]);
		expect(Math.round(r.standardUncertainty)).toBe(32);
		expect(Math.floor(r.df as number)).toBe(16);
	});
	it('has no degrees of freedom when every component is zero', () => {
		expect(combineUncertainties([{ standardUncertainty: 0, df: 4 }])).toEqual({ standardUncertainty: 0, df: null });
	});
});

describe('comparing at a resolution', () => {
	it('a reading on the limit conforms: 1.77 <= 1.75 + 0.02', () => {
		expect(1.77 <= 1.75 + 0.02).toBe(true);
		expect(1.73 >= 1.75 - 0.02).toBe(true);
		expect(compareAtResolution(1.77, 1.75 + 0.02, 0.01)).toBe(0);
		expect(compareAtResolution(1.73, 1.75 - 0.02, 0.01)).toBe(0);
		expect(compareAtResolution(0.1 + 0.2, 0.3, 0.01)).toBe(0);
		expect(compareAtResolution(1.78, 1.77, 0.01)).toBeGreaterThan(0);
	});
});
