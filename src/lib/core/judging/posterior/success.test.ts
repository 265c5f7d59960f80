import { describe, expect, it } from 'vitest';
import { ASSUMED_SUCCESS, learnSuccess, successOf } from './success';

describe('the share of prints that finish', () => {
	it('with a flat prior it is the beta law of the counts (scipy 1.10.1: beta.ppf([.025, .5, .975], 4, 2))', () => {
		const found = successOf(3, 1, { finished: 1, failed: 1 });
		expect(found).toMatchObject({ finished: 4, failed: 2 });
		expect(found.low).toBeCloseTo(0.28358, 5);
		expect(found.estimate).toBeCloseTo(0.68619, 5);
		expect(found.high).toBeCloseTo(0.94726, 5);
	});
	it('three of three is no certainty, none of three not never', () => {
		expect(successOf(3, 0, ASSUMED_SUCCESS).low).toBeLessThan(0.8);
		expect(successOf(0, 3, ASSUMED_SUCCESS).high).toBeGreaterThan(0.5);
	});
	it('one failure more is always worse, one finished more better', () => {
		for (const [x, y] of [
			[0, 0],
			[3, 1],
			[10, 0]
		] as const) {
			const here = successOf(x, y, ASSUMED_SUCCESS).estimate;
			expect(successOf(x + 1, y, ASSUMED_SUCCESS).estimate).toBeGreaterThan(here);
			expect(successOf(x, y + 1, ASSUMED_SUCCESS).estimate).toBeLessThan(here);
		}
	});
});

describe('what the record says of such prints', () => {
	it('nothing: what was assumed', () => {
		expect(learnSuccess([])).toEqual(ASSUMED_SUCCESS);
		expect(learnSuccess([{ finished: 0, failed: 0 }])).toEqual(ASSUMED_SUCCESS);
	});
	it.each([
		['one spool', 1, { finished: 1, failed: 1 }, 2.4571, 0.7556],
		['a dozen prints that all finished', 6, { finished: 2, failed: 0 }, 3.4329, 0.1998],
		// The law itself would count for 52.5 prints (41.8166 and 10.7302): five is the most a prior counts for.
		['many spools alike', 40, { finished: 8, failed: 2 }, (5 * 41.8166) / 52.5468, (5 * 10.7302) / 52.5468]
	] as const)('%s: as summed by scipy 1.10.1 (tests/reference/success.py)', (_, spools, counts, finished, failed) => {
		const learnt = learnSuccess(Array.from({ length: spools }, () => counts));
		expect(learnt.finished).toBeCloseTo(finished, 4);
		expect(learnt.failed).toBeCloseTo(failed, 4);
	});
	it('spools that are all good or all bad: their share, but little is known of the next', () => {
		const learnt = learnSuccess([
			...Array.from({ length: 10 }, () => ({ finished: 10, failed: 0 })),
			...Array.from({ length: 10 }, () => ({ finished: 0, failed: 10 }))
		]);
		expect(learnt.finished + learnt.failed).toBeLessThanOrEqual(2);
	});
});
