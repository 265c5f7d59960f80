import { describe, expect, it } from 'vitest';
import { findFromValues } from './find-from-values';

const alone = { low: -4, high: 6, shown: false };

describe('what repeats say', () => {
	// t(0.975, 2) = 4.3026527, standard error 1 / sqrt(3): R 4.2, qt(0.975, 2).
	it('several by their own scatter', () => {
		const found = findFromValues([1, 2, 3], { alone });
		expect(found).toMatchObject({ estimate: 2, n: 3, sampling: { kind: 't', mean: 2, df: 2 } });
		expect(found?.interval?.low).toBeCloseTo(2 - 2.4841377, 6);
		expect(found?.interval?.high).toBeCloseTo(2 + 2.4841377, 6);
	});
	it('lent scatter is for one alone', () => {
		const borrowed = { sd: 0.5, df: 4 };
		// t(0.975, 4) = 2.7764451.
		const one = findFromValues([2], { borrowed, alone });
		expect(one?.interval).toMatchObject({ level: 0.95, kind: 'confidence' });
		expect(one?.interval?.high).toBeCloseTo(2 + 2.7764451 * 0.5, 6);
		expect(one?.sampling).toEqual({ kind: 't', mean: 2, standardError: 0.5, df: 4 });
		expect(findFromValues([1, 2, 3], { borrowed, alone })).toEqual(findFromValues([1, 2, 3], { alone }));
	});
	it('one without any scatter is bounds, shown only where they are meant to be', () => {
		expect(findFromValues([1], { alone })).toEqual({ estimate: 1, n: 1, interval: null, sampling: { kind: 'bounds', low: -4, high: 6 } });
		expect(findFromValues([1], { alone: { ...alone, shown: true } })?.interval).toEqual({ low: -4, high: 6, level: null, kind: 'bounds' });
	});
	it('a further uncertainty widens, with degrees of freedom by Welch and Satterthwaite', () => {
		const found = findFromValues([1, 2, 3], { also: 1, alone });
		// u = sqrt(1/3 + 1), df = u^4 / ((1/3)^2 / 2) = 32.
		expect(found?.sampling.kind === 't' && found.sampling.standardError).toBeCloseTo(Math.sqrt(4 / 3), 12);
		expect(found?.sampling.kind === 't' && found.sampling.df).toBeCloseTo(32, 9);
		// t(0.975, 32) = 2.0369333.
		expect(found?.interval?.high).toBeCloseTo(2 + 2.0369333 * Math.sqrt(4 / 3), 6);
	});
	it('carries no infinity: without scatter of its own the further uncertainty stands alone, by the normal law', () => {
		const found = findFromValues([2, 2, 2], { also: 1, alone });
		expect(found?.sampling).toEqual({ kind: 't', mean: 2, standardError: 1, df: null });
		expect(found?.interval?.high).toBeCloseTo(2 + 1.959964, 6);
		expect(findFromValues([2, 2, 2], { alone })?.sampling).toEqual({ kind: 't', mean: 2, standardError: 0, df: null });
	});
	it('does not reach beyond what can be', () => {
		expect(findFromValues([1, 2, 3], { within: { low: 0, high: 3 }, alone })?.interval).toMatchObject({ low: 0, high: 3 });
	});
	it('nothing says nothing', () => expect(findFromValues([], { alone })).toBeNull());
});
