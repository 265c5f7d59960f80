import fc from 'fast-check';
import { randomNormal, randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { effectiveNumber, lag1 } from '../../kernel/stats/effective-number';
import { instrumentBudget } from '../../stations/diameter/budget';
import { claimVerdict } from '../../stations/diameter/claim-verdict';
import { findThickSpots } from './thick-spots';
import { envelope } from './envelope';
import { indexAt, positionAt, type GaugeLog } from './gauge-log';
import { jamming, pathLimits } from './limits';
import { runsWithout, withoutRanges } from './left-out';
import { findPeriodicity } from './periodicity';
import { placesOfLog, strandOfLog } from '../../stations/diameter/strand-of-log';
import { summarise } from './summary';
import { worstMetre } from './worst-metre';

const noise = (seed: number, sd: number) => randomNormal.source(randomLcg(seed))(0, sd);
const made = (n: number, of: (i: number) => number, stepM = 0.01): GaugeLog => ({
	along: Float64Array.from({ length: n }, (_, i) => of(i)),
	across: null,
	position: { kind: 'even', startM: 0, stepM }
});
const even = instrumentBudget(
	{ id: 'g', name: 'g', quantity: 'length', resolution: 0.001, errorLimit: 0.002, checks: [], studies: [] },
	1.75,
	0
);

describe('effective number', () => {
	it('NIST StRD Lag-1 of NumAcc1 is -0.5, of alternating NumAcc2 about -0.999 (arithmetic on the definition)', () => {
		expect(lag1([10000001, 10000003, 10000002])).toBeCloseTo(-0.5, 12);
		expect(lag1([1.2, ...Array.from({ length: 1000 }, (_, i) => (i % 2 ? 1.3 : 1.1))])).toBeCloseTo(-0.999, 3);
	});
	it('independent readings are worth about their number', () => {
		const next = noise(1, 1);
		const worth = effectiveNumber(Float64Array.from({ length: 20_000 }, () => next()));
		expect(worth).toBeGreaterThan(10_000);
		expect(worth).toBeLessThanOrEqual(20_000);
	});
	it('a first-order process is worth n (1 - r) / (1 + r) (Box & Jenkins)', () => {
		const next = noise(2, 1);
		let x = 0;
		const values = Float64Array.from({ length: 2 ** 17 }, () => (x = 0.9 * x + next()));
		const expected = (2 ** 17 * 0.1) / 1.9;
		expect(effectiveNumber(values) / expected).toBeGreaterThan(0.7);
		expect(effectiveNumber(values) / expected).toBeLessThan(1.3);
	});
	it('a constant series, one, none', () => {
		expect(effectiveNumber([1, 1, 1, 1])).toBe(4);
		expect(effectiveNumber([1])).toBe(1);
		expect(effectiveNumber([])).toBe(0);
		expect(lag1([1, 1, 1])).toBeNull();
	});
});

describe('periodicity', () => {
	it.each([
		[1.83, 0.006],
		[0.371, 0.004],
		[12.4, 0.005]
	])('of %f m comes back through a drift and noise', (periodM, amplitude) => {
		const next = noise(3, 0.008);
		const values = Float64Array.from(
			{ length: 30_000 },
			(_, i) => 1.75 + 4e-7 * i + amplitude * Math.sin((2 * Math.PI * i * 0.01) / periodM) + next()
		);
		const found = findPeriodicity(values, 0.01);
		expect(found?.periodM).toBeCloseTo(periodM, periodM > 10 ? 1 : 2);
		expect(found?.amplitudeMm).toBeCloseTo(amplitude, 3);
		const share = amplitude ** 2 / 2 / (amplitude ** 2 / 2 + 0.008 ** 2);
		expect(found?.share).toBeCloseTo(share, 1);
		expect(found?.aliased).toBe(false);
	});
	it('white noise has none, in fifty logs', () => {
		for (let seed = 10; seed < 60; seed++) {
			const next = noise(seed, 0.01);
			expect(
				findPeriodicity(
					Float64Array.from({ length: 2000 }, () => next()),
					0.01
				)
			).toBeNull();
		}
	});
	it('slow wandering is no periodicity, in twenty logs', () => {
		for (let seed = 70; seed < 90; seed++) {
			const next = noise(seed, 0.002);
			let x = 0;
			expect(
				findPeriodicity(
					Float64Array.from({ length: 20_000 }, () => (x = 0.99 * x + next())),
					0.01
				)
			).toBeNull();
		}
	});
	it('warns when the samples are too far apart to tell a shorter one from it', () => {
		const next = noise(4, 0.002);
		const found = findPeriodicity(
			Float64Array.from({ length: 4000 }, (_, i) => 0.01 * Math.sin((2 * Math.PI * i) / 2.7) + next()),
			0.5
		);
		expect(found?.aliased).toBe(true);
	});
	it('a constant or a short log has none', () => {
		expect(findPeriodicity(new Float64Array(5000).fill(1.75), 0.01)).toBeNull();
		expect(findPeriodicity([1, 2, 1, 2], 0.01)).toBeNull();
	});
});

describe('thick spots', () => {
	it('are runs over a threshold, the thickest first, by the longer axis', () => {
		const log = made(1000, (i) => (i >= 100 && i < 105 ? 1.9 : i === 500 ? 1.97 : 1.75));
		const found = findThickSpots({ ...log, across: Float64Array.from({ length: 1000 }, (_, i) => (i === 700 ? 1.85 : 1.75)) }, 1.8);
		expect(found.count).toBe(3);
		expect(found.thickest.map((b) => b.peakMm)).toEqual([1.97, 1.9, 1.85]);
		expect(found.thickest[1]?.samples).toBe(5);
		expect(found.thickest[1]?.fromM).toBeCloseTo(1, 9);
	});
	it('jam where they reach the narrower limit; usual limits are said to be assumed', () => {
		const limits = pathLimits(1.75, null);
		expect(limits).toMatchObject({ assumed: true });
		const thickest = [
			{ fromM: 0, toM: 0, peakMm: 1.96, samples: 1 },
			{ fromM: 1, toM: 1, peakMm: 1.9, samples: 1 }
		];
		expect(jamming(thickest, limits)).toHaveLength(1);
		expect(jamming(thickest, pathLimits(1.75, { feedPathMm: 1.9, throatMm: 1.98 }))).toHaveLength(2);
	});
	it('one at the very end counts', () => {
		expect(
			findThickSpots(
				made(10, (i) => (i === 9 ? 1.9 : 1.75)),
				1.8
			).count
		).toBe(1);
	});
});

describe('picture', () => {
	it('loses no bump, whatever the columns', () => {
		fc.assert(
			fc.property(fc.integer({ min: 10, max: 5000 }), fc.integer({ min: 1, max: 700 }), fc.nat(), (n, columns, seed) => {
				const at = seed % n;
				const log = made(n, (i) => (i === at ? 2 : 1.75));
				const drawn = envelope(log, 0, positionAt(log.position, n - 1), columns).columns;
				expect(Math.max(...drawn.map((c) => c.highMm))).toBe(2);
				expect(drawn.reduce((sum, c) => sum + c.samples, 0)).toBe(n);
				expect(drawn.length).toBeLessThanOrEqual(columns);
			})
		);
	});
	it('zoomed in, each column is one reading', () => {
		const log = made(1000, (i) => 1.7 + i / 1e4);
		const drawn = envelope(log, 1, 1.2, 500).columns;
		expect(drawn.every((c) => c.samples === 1 && c.lowMm === c.highMm)).toBe(true);
		expect(drawn).toHaveLength(21);
	});
	it('finds its place among listed positions too', () => {
		const metres = Float64Array.from([0, 0.5, 0.7, 3, 9]);
		const log: GaugeLog = { along: new Float64Array(5).fill(1.75), across: null, position: { kind: 'listed', metres } };
		expect([-1, 0, 0.6, 3, 10].map((m) => indexAt(log, m))).toEqual([0, 0, 2, 3, 5]);
	});
});

describe('worst metre', () => {
	it('is where the strand strays farthest', () => {
		const found = worstMetre(
			made(2000, (i) => (i >= 700 && i < 800 ? 1.8 : 1.75)),
			1.75
		);
		expect(found?.fromM).toBeGreaterThan(6.98);
		expect(found?.fromM).toBeLessThan(7.02);
		expect(found?.rmsMm).toBeCloseTo(0.05, 3);
	});
	it('is not there in half a metre', () => {
		expect(
			worstMetre(
				made(50, () => 1.75),
				1.75
			)
		).toBeNull();
	});
});

describe('parts left out', () => {
	const ranges = fc.array(
		fc.tuple(fc.nat(120), fc.nat(40)).map(([from, length]) => ({ from, to: from + length })),
		{ maxLength: 6 }
	);
	it('what is left and what is out are the whole log, whatever overlaps (property)', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 100 }), ranges, (samples, out) => {
				const kept = runsWithout(samples, out).flatMap(({ from, to }) => Array.from({ length: to - from + 1 }, (_, i) => from + i));
				const expected = Array.from({ length: samples }, (_, i) => i).filter((i) => !out.some((r) => i >= r.from && i <= r.to));
				expect(kept).toEqual(expected);
			}),
			{ seed: 11 }
		);
	});
	it('every sample keeps its position; a start or an end taken off leaves even steps', () => {
		const log: GaugeLog = { ...made(100, (i) => i), across: Float64Array.from({ length: 100 }, (_, i) => -i) };
		const middle = withoutRanges(log, [{ from: 10, to: 89 }]) as GaugeLog;
		expect([...middle.along]).toEqual([...log.along.slice(0, 10), ...log.along.slice(90)]);
		expect(middle.across?.[10]).toBe(-90);
		expect(positionAt(middle.position, 10)).toBeCloseTo(0.9, 12);
		const start = withoutRanges(log, [{ from: 0, to: 24 }]) as GaugeLog;
		expect(start.position).toEqual({ kind: 'even', startM: 0.25, stepM: 0.01 });
		const listed = withoutRanges({ ...log, position: { kind: 'listed', metres: Float64Array.from(log.along, (v) => v * 2) } }, [
			{ from: 0, to: 0 }
		]);
		expect(positionAt((listed as GaugeLog).position, 0)).toBe(2);
		expect(withoutRanges(log, [{ from: 0, to: 200 }])).toBeNull();
		expect(withoutRanges(log, [])).toBe(log);
	});
	it('a touched gauge is left out: the strand is judged by the rest, and the picture still shows it', () => {
		const next = noise(8, 0.004);
		const touched = made(8000, (i) => 1.75 + 0.006 * Math.sin((2 * Math.PI * i) / 150) + next() + (i >= 3000 && i < 3100 ? 0.4 : 0));
		const whole = summarise(touched, 1.75);
		const rest = summarise(touched, 1.75, [{ from: 3000, to: 3099 }]);
		expect(whole.thickSpots.count).toBeGreaterThan(0);
		expect(rest.thickSpots.count).toBe(0);
		expect(rest.n).toBe(7900);
		expect(rest.sdMm).toBeLessThan((whole.sdMm as number) / 3);
		expect(rest.leftOut[0]?.fromM).toBeCloseTo(30, 9);
		expect(rest.leftOut[0]?.toM).toBeCloseTo(30.99, 9);
		expect(Math.max(...rest.picture.columns.map((c) => c.highMm))).toBeGreaterThan(2.1);
		expect(Math.max(...placesOfLog(rest, 0).map((p) => Math.max(...p.valuesMm)))).toBeLessThan(1.8);
		// The rhythm is sought where nothing was taken out.
		expect(rest.periodicity?.periodM).toBeCloseTo(1.5, 2);
		expect(() => summarise(touched, 1.75, [{ from: 0, to: 7999 }])).toThrow(RangeError);
	});
});

describe('summary and verdict', () => {
	const next = noise(5, 0.006);
	const log = made(40_000, () => Number((1.75 + next()).toFixed(3)));
	it('keeps, breaks, or is limited by the instrument', () => {
		const summary = summarise(log, 1.75);
		expect(summary.n).toBe(40_000);
		expect(summary.histogram.counts.reduce((a, b) => a + b, 0)).toBe(40_000);
		expect(claimVerdict(strandOfLog(summary, even), 1.73, 1.77)?.verdict).toBe('kept');
		expect(claimVerdict(strandOfLog(summary, even), 1.745, 1.755)?.verdict).toBe('broken');
		const caliper = instrumentBudget(null, 1.75, 0);
		expect(claimVerdict(strandOfLog(summary, caliper), 1.73, 1.77)).toMatchObject({ verdict: 'undecided', next: null, tooFew: null });
	});
	it('a log worth fewer than ten independent readings is too short to say', () => {
		// One slow wave over the whole length: neighbours repeat each other nearly everywhere.
		const slow = summarise(
			made(4000, (i) => 1.75 + 0.004 * Math.sin((2 * Math.PI * i) / 4000)),
			1.75
		);
		expect(slow.nEffective).toBeLessThan(10);
		expect(claimVerdict(strandOfLog(slow, even), 1.73, 1.77)).toMatchObject({
			verdict: 'undecided',
			tooFew: { have: Math.floor(slow.nEffective), least: 10 }
		});
	});
	it('limits are inclusive', () => {
		const onLimit = summarise(
			made(1000, (i) => (i % 2 ? 1.77 : 1.73)),
			1.75
		);
		expect(strandOfLog(onLimit, even).outside(1.73, 1.77)).toBe(0);
		expect(strandOfLog(onLimit, even).outside(1.731, 1.77)).toBe(500);
	});
	it('takes the bias of a checked gauge off', () => {
		const summary = summarise(log, 1.75);
		const strand = strandOfLog(summary, { ...even, biasMm: 0.01 });
		expect(strand.meanMm).toBeCloseTo(summary.meanMm - 0.01, 12);
		expect(strand.outside(1.72, 1.76)).toBe(strandOfLog(summary, even).outside(1.73, 1.77));
		expect(placesOfLog(summary, 0.01)).toHaveLength(60);
	});
	it('sees a drift and the ovality of two axes, constant logs say nothing odd', () => {
		const two: GaugeLog = {
			...made(5000, (i) => 1.74 + i * 2e-6 + next() / 3),
			across: Float64Array.from({ length: 5000 }, (_, i) => 1.75 + i * 2e-6 + next() / 3)
		};
		const found = summarise(two, 1.75);
		expect(found.drift?.slope).toBeCloseTo(2e-4, 5);
		expect(found.ovalityMm?.estimate).toBeCloseTo(0.01, 3);
		const constant = summarise(
			made(3000, () => 1.75),
			1.75
		);
		expect(constant).toMatchObject({ sdMm: 0, periodicity: null, lag1: null });
		expect(JSON.stringify(constant)).not.toMatch(/NaN|Infinity/);
	});
});
