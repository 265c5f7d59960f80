import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/posterior.json';
import { tQuantile } from '../../kernel/stats/distributions';
import { learnPrior } from './learn';
import { countAs, ladderAs, readingAs, wordAs } from './observed';
import { evenly, posteriorOf } from './posterior';
import type { CellPrior } from './prior';
import { observedOn } from './scale';
import { summaryOfMean, summaryOfRank } from './summarise';

const prior: CellPrior = { scatter: { sd: 3, df: 4 }, mean: { centre: 50, spread: 15 } };

describe('observations as intervals', () => {
	it('ladders and words are open where nothing more was there', () => {
		expect(ladderAs(65, null)).toEqual({ low: 65, high: null });
		expect(ladderAs(null, 30)).toEqual({ low: null, high: 30 });
		expect([0, 1, 3].map((rank) => wordAs(rank, 4))).toEqual([
			{ low: null, high: 0.5 },
			{ low: 0.5, high: 1.5 },
			{ low: 2.5, high: null }
		]);
	});
	it('on the model’s scale nought is open below', () => {
		expect(observedOn('plain', readingAs(0, 0.1), 0)).toEqual({ low: null, high: 0.05 });
		expect(observedOn('plain', readingAs(0, 0.1), null)).toEqual({ low: -0.05, high: 0.05 });
		// A ladder that begins at nought: faulty above it says only that it is not more.
		expect(observedOn('plain', { low: 0, high: 5 }, 0)).toEqual({ low: null, high: 5 });
		expect(observedOn('log', { low: 3, high: null }, 0)).toEqual({ low: Math.log(3), high: null });
		expect(observedOn('root', countAs(0), 0)).toEqual({ low: null, high: Math.sqrt(0.5) });
		expect(observedOn('root', countAs(9), 0)).toEqual({ low: Math.sqrt(8.5), high: Math.sqrt(9.5) });
	});
});

describe('the posterior of a cell', () => {
	/** With sharp readings and nothing known of the mean it is Student's t with the moderated variance, in closed form (Smyth 2004). */
	it.each([
		[[60, 62, 67], { sd: 3, df: 4 }],
		[[60, 60.001], { sd: 2, df: 6 }],
		[[41.5], { sd: 5, df: 8 }]
	])('sharp readings %j and scatter %j: moderated t', (values, scatter) => {
		const wide: CellPrior = { scatter, mean: { centre: 50, spread: 4000 } };
		const found = summaryOfMean(
			posteriorOf(
				values.map((v) => readingAs(v, 0.002)),
				wide
			),
			'plain'
		);
		const n = values.length;
		const mean = values.reduce((a, b) => a + b, 0) / n;
		const squares = values.reduce((a, v) => a + (v - mean) ** 2, 0);
		const df = scatter.df + n - 1;
		const se = Math.sqrt((scatter.df * scatter.sd ** 2 + squares) / df / n);
		expect(found.estimate).toBeCloseTo(mean, 1);
		// The grid ends where one in ten million is left: within 2 % of the closed form.
		expect((found.high - mean) / (tQuantile(0.975, df) * se)).toBeCloseTo(1, 1);
		expect((mean - found.low) / (tQuantile(0.975, df) * se)).toBeCloseTo(1, 1);
	});
	it.each(reference.map((r) => [r.name, r] as const))(
		'%s: as summed finely by scipy 1.10.1',
		(_, { observed, scatter, mean, quantiles }) => {
			const found = summaryOfMean(
				posteriorOf(
					observed.map(([low = null, high = null]) => ({ low, high })),
					{ scatter, mean }
				),
				'plain'
			);
			const [low, middle, high] = quantiles as [number, number, number];
			const width = high - low;
			// To a hundredth of the width of the range: no picture and no decision shows less.
			expect(Math.abs(found.low - low) / width).toBeLessThan(0.01);
			expect(Math.abs(found.estimate - middle) / width).toBeLessThan(0.01);
			expect(Math.abs(found.high - high) / width).toBeLessThan(0.01);
		}
	);
	it('without an observation it is the prior of the mean: t with four degrees of freedom', () => {
		const found = summaryOfMean(posteriorOf([], prior), 'plain');
		expect(found.estimate).toBeCloseTo(50, 6);
		expect(found.high - 50).toBeCloseTo(15 * tQuantile(0.975, 4), 0);
	});
	it('two equal readings are no certainty', () => {
		const found = summaryOfMean(posteriorOf([ladderAs(60, 65), ladderAs(60, 65)], prior), 'plain');
		expect([found.low, found.estimate, found.high].map((v) => Number(v.toFixed(1)))).toEqual([56.6, 62.2, 67.2]);
	});
	it('held all that hung: neither good nor bad beyond that', () => {
		const open = summaryOfMean(posteriorOf([{ low: 60, high: null }], prior), 'plain');
		expect(open.low).toBeGreaterThan(50);
		expect(open.low).toBeLessThan(60);
		// What nothing was seen of stays as wide as it was expected.
		expect(open.high).toBeGreaterThan(85);
	});
	it('an odd value stays possible: it moves the mean less than its share', () => {
		const found = summaryOfMean(
			posteriorOf(
				[60, 61, 60, 200].map((v) => readingAs(v, 1)),
				prior
			),
			'plain'
		);
		expect(Number.isFinite(found.estimate)).toBe(true);
		expect(found.high).toBeGreaterThan(found.low);
	});
	it('moves with what is seen, and shrinks with more of it', () => {
		fc.assert(
			fc.property(fc.integer({ min: 20, max: 80 }), fc.integer({ min: 1, max: 4 }), (at, n) => {
				const of = (value: number, count: number) =>
					summaryOfMean(
						posteriorOf(
							Array.from({ length: count }, () => readingAs(value, 1)),
							prior
						),
						'plain'
					);
				const [one, higher, more] = [of(at, n), of(at + 2, n), of(at, n + 2)];
				expect(higher.estimate).toBeGreaterThan(one.estimate);
				expect(more.high - more.low).toBeLessThan(one.high - one.low);
			}),
			{ numRuns: 25 }
		);
	});
	it('of words: the rank the next print is expected to get, within the words there are', () => {
		const words: CellPrior = { scatter: { sd: 0.6, df: 4 }, mean: { centre: 1.5, spread: 1.5 } };
		const clean = summaryOfRank(posteriorOf([wordAs(0, 4), wordAs(0, 4), wordAs(0, 4)], words), 4);
		const heavy = summaryOfRank(posteriorOf([wordAs(3, 4), wordAs(3, 4), wordAs(3, 4)], words), 4);
		expect(clean.low).toBeGreaterThanOrEqual(0);
		expect(heavy.high).toBeLessThanOrEqual(3);
		// The same from the other end.
		expect(clean.estimate).toBeCloseTo(3 - heavy.estimate, 2);
		expect(clean.high).toBeCloseTo(3 - heavy.low, 2);
		expect(clean.estimate).toBeLessThan(0.35);
	});
});

describe('priors learnt from the record', () => {
	const assumed: CellPrior = { scatter: { sd: 6, df: 3 }, mean: { centre: 50, spread: 20 } };
	it('nothing on record leaves what was assumed', () => {
		expect(learnPrior([], assumed)).toBe(assumed);
		expect(learnPrior([[readingAs(60, 1)]], assumed)).toBe(assumed);
	});
	it('repeats tell the scatter, cells the spread and the middle', () => {
		// Forty cells with means evenly in normal quantiles around 60, and pairs 2 apart.
		const cells = Array.from({ length: 40 }, (_, i) => {
			const mean = 60 + 5 * tQuantile((i + 0.5) / 40, Infinity);
			return [readingAs(mean - 1, 0.1), readingAs(mean + 1, 0.1)];
		});
		const { scatter, mean } = learnPrior(cells, assumed);
		expect(scatter.sd).toBeGreaterThan(1.1);
		expect(scatter.sd).toBeLessThan(1.7);
		expect(mean.centre).toBeCloseTo(60, 0);
		expect(mean.spread).toBeGreaterThan(3);
		expect(mean.spread).toBeLessThan(6);
	});
	it('every cell counts, also those that show the same', () => {
		const narrow = [readingAs(60, 0.1), readingAs(60.5, 0.1)];
		const scatterOf = (count: number) => learnPrior(Array<typeof narrow>(count).fill(narrow), assumed).scatter.sd;
		expect(scatterOf(30)).toBeLessThan(scatterOf(3));
	});
	it('of two cells the middle is not known either: what is not known of it widens the spread (figures of this code)', () => {
		const { scatter, mean } = learnPrior([[readingAs(60, 0.1)], [readingAs(64, 0.1)]], assumed);
		expect([mean.centre, mean.spread, scatter.sd, scatter.df].map((v) => Number(v.toFixed(1)))).toEqual([61.3, 32.4, 8.1, 7.5]);
	});
	it('single values say nothing of the scatter', () => {
		const singles = evenly({ low: 40, high: 60 }, 8);
		expect(
			learnPrior(
				Array.from(singles, (v) => [readingAs(v, 0.1)]),
				assumed
			).scatter.sd
		).toBeCloseTo(6, -1);
	});
});
