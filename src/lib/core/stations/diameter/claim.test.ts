import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/diameter.json';
import { checkOfReadings } from '../../record/instruments/check';
import { toleranceFactor } from '../../kernel/stats/tolerance-factor';
import { checkedUncertainty, instrumentBudget, recordInForce } from './budget';
import { capability } from './capability';
import { claimPlan, strandLengthM, zoneOf } from './claim-plan';
import { claimVerdict, strictVerdict } from './claim-verdict';
import { chiSquareQuantile } from '../../kernel/stats/distributions';
import { LOOK_LEVEL, LOOKS } from './looks';
import { conformanceProbability } from './conformance';
import { decisiveness } from './decisiveness';
import { randomSource } from '../../kernel/random/source';
import { gaugeStudy, type CrossedReadings } from './gauge-study';
import { cellsOf, studyPlan } from './study-plan';
import { ownSpread } from './own-spread';
import { boundOf, shareInside } from './share-inside';
import { normalStrand, type Strand } from './strand';

const perfect = instrumentBudget(
	{ id: 'p', name: 'p', quantity: 'length', resolution: 1e-9, errorLimit: 1e-9, checks: [], studies: [] },
	1.75,
	0
);
const caliper = instrumentBudget(null, 1.75, 0);
const strand = (meanMm: number, sdMm: number, n: number, budget = perfect): Strand =>
	normalStrand(
		{
			n,
			nEffective: n,
			spots: n,
			looks: [],
			meanMm,
			sdMm,
			lowMm: meanMm,
			highMm: meanMm,
			standardErrorMm: sdMm / Math.sqrt(n),
			df: n - 1,
			budget
		},
		[]
	);
/** The strand as it is at a look. */
const looked = (s: Strand): Strand => ({ ...s, looks: [s] });
const verdict = (s: Strand) => claimVerdict(looked(s), 1.73, 1.77);

describe('verdict on the claim', () => {
	it.each([12, 24, 96])('n = %i: a perfect instrument needs as much room as the exact tolerance factor (ISO 16269-6)', (n) => {
		const sdMm = 0.02 / toleranceFactor(n, 0.95, LOOK_LEVEL);
		expect(verdict(strand(1.75, sdMm * 0.93, n))?.verdict).toBe('kept');
		expect(verdict(strand(1.75, sdMm * 1.08, n))?.verdict).toBe('undecided');
	});
	it('the bound of a share is that of the exact tolerance factor', () => {
		const sdMm = 0.02 / toleranceFactor(30);
		const { ordered } = shareInside({ meanMm: 1.75, sdMm, nEffective: 30, repeatabilityMm: 0, commonMm: 0 }, 1.73, 1.77);
		expect(Math.abs(boundOf(ordered, 0.05) - 0.95)).toBeLessThan(0.004);
	});
	it('a centred strand is broken where its spread is surely too wide, by the chi-square bound', () => {
		// 95 % inside is a spread of 0.02 / 1.959964; at 24 readings the bound of the spread is sd sqrt(23 / 42.1).
		const limit = (0.02 / 1.959964) * Math.sqrt(chiSquareQuantile(LOOK_LEVEL, 23) / 23);
		expect(verdict(strand(1.75, limit * 0.99, 24))?.verdict).toBe('undecided');
		expect(verdict(strand(1.75, limit * 1.01, 24))?.verdict).toBe('broken');
	});
	it('a common caliper shows ±0.02 mm kept by no strand and no number of readings', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1.7, max: 1.8, noNaN: true }),
				fc.double({ min: 0, max: 0.02, noNaN: true }),
				fc.integer({ min: 2, max: 500 }),
				(m, sd, n) => {
					expect(verdict(strand(m, sd, n, caliper))?.verdict).not.toBe('kept');
				}
			)
		);
		expect(verdict(strand(1.75, 0.003, 10, caliper))?.decidesAt).toBeNull();
	});
	it('is the same under the mirror image of the strand', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 0.05, noNaN: true }),
				fc.double({ min: 0.001, max: 0.03, noNaN: true }),
				fc.integer({ min: 2, max: 60 }),
				(off, sd, n) => {
					const [a, b] = [verdict(strand(1.75 + off, sd, n)), verdict(strand(1.75 - off, sd, n))];
					expect(a?.verdict).toBe(b?.verdict);
					expect(a?.share.low).toBeCloseTo(b?.share.low as number, 6);
				}
			)
		);
	});
	it('bounds keep their order, and the most likely share lies between 0 and 1', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1.65, max: 1.85, noNaN: true }),
				fc.double({ min: 0, max: 0.05, noNaN: true }),
				fc.integer({ min: 2, max: 200 }),
				(m, sd, n) => {
					const share = verdict(strand(m, sd, n, caliper))?.share;
					expect(share?.low).toBeGreaterThanOrEqual(0);
					expect(share?.high).toBeGreaterThanOrEqual(share?.low as number);
					expect(share?.high).toBeLessThanOrEqual(1 + 1e-12);
				}
			)
		);
	});
	it('says at which look it would be decided, and there it is', () => {
		const few = strand(1.75, 0.0065, 12);
		expect(verdict(few)).toMatchObject({ verdict: 'undecided', next: 24 });
		const at = verdict(few)?.decidesAt as number;
		expect(LOOKS).toContain(at);
		expect(verdict(strand(1.75, 0.0065, at))?.verdict).toBe('kept');
		expect(verdict(strand(1.75, 0.0065, at / 2))?.verdict).toBe('undecided');
	});
	it('between looks the last verdict stands; before the first nothing is decided, however even it looks', () => {
		const even = strand(1.75, 0.0005, 11);
		expect(claimVerdict(even, 1.73, 1.77)).toMatchObject({ verdict: 'undecided', next: 12, decidesAt: 12 });
		const first = strand(1.75, 0.0005, 12);
		// Twenty readings in all, of which the last have gone astray: not looked at before the twenty-fourth.
		const now = { ...strand(1.75, 0.03, 20), looks: [first] };
		expect(claimVerdict(now, 1.73, 1.77)).toMatchObject({ verdict: 'kept', next: null });
		const later = { ...strand(1.75, 0.03, 24), looks: [first, strand(1.75, 0.03, 24)] };
		expect(claimVerdict(later, 1.73, 1.77)?.verdict).toBe('broken');
	});
	it('fewer than six places decide nothing', () => {
		const five = { ...strand(1.75, 0.0005, 24), spots: 5 };
		expect(verdict(five)).toMatchObject({ verdict: 'undecided', tooFew: { have: 5, least: 6 } });
		expect(verdict({ ...five, spots: 6 })).toMatchObject({ verdict: 'kept', tooFew: null });
	});
	it('says nothing of one place', () => {
		expect(verdict(normalStrand({ ...strand(1.75, 0.01, 2), nEffective: 1 }, []))).toBeNull();
	});
});

describe('what an instrument can ever decide', () => {
	it('nothing is kept beyond 1.96 u (arithmetic); a finer one leaves room for spread', () => {
		expect(decisiveness(0.02 / 1.95, 0.02)).toMatchObject({ able: 'onlyBroken', keepSdMm: null });
		expect(decisiveness(0.02 / 2, 0.02).able).toBe('evenFilament');
		expect(decisiveness(0.001, 0.02).able).toBe('both');
		// Without uncertainty 95 % inside is a spread of tolerance / 1.96.
		expect(decisiveness(1e-9, 0.02).keepSdMm).toBeCloseTo(0.02 / 1.959964, 6);
	});
	it('a common caliper of ±0.02 mm never shows ±0.02 mm kept (common practice, no source, for its error limit)', () => {
		expect(caliper.standardUncertaintyMm).toBeCloseTo(Math.sqrt((0.0004 + 0.000025) / 3), 12);
		expect(decisiveness(caliper.standardUncertaintyMm, 0.02).able).toBe('onlyBroken');
		expect(decisiveness(caliper.standardUncertaintyMm, 0.05).able).toBe('evenFilament');
		expect(decisiveness(checkedUncertainty(0.01), 0.02).able).toBe('both');
	});
	it('is borne out by the verdict with endless readings', () => {
		const u = 0.006;
		const keep = decisiveness(u, 0.02).keepSdMm as number;
		const endless = (sdMm: number) =>
			boundOf(shareInside({ meanMm: 1.75, sdMm, nEffective: Infinity, repeatabilityMm: 0, commonMm: u }, 1.73, 1.77, 400).ordered, 0.05);
		expect(endless(keep * 0.98)).toBeGreaterThan(0.95);
		expect(endless(keep * 1.02)).toBeLessThan(0.95);
	});
});

describe('guard bands and conformance (JCGM 106)', () => {
	it('a reading on the limit has an even chance, one u inside 84 %, one u outside 16 % (normal law)', () => {
		expect(conformanceProbability(1.77, 0.001, 1.73, 1.77)).toBeCloseTo(0.5, 9);
		expect(conformanceProbability(1.769, 0.001, 1.73, 1.77)).toBeCloseTo(0.841345, 6);
		expect(conformanceProbability(1.771, 0.001, 1.73, 1.77)).toBeCloseTo(0.158655, 6);
	});
	it('accepts and rejects only beyond the guard band of 1.645 u', () => {
		const at = (highMm: number) => strictVerdict({ lowMm: 1.75, highMm }, 0.01, 1.7, 1.8);
		expect(at(1.8 + 0.0165)).toBe('broken');
		expect(at(1.8 + 0.016)).toBe('undecided');
		expect(at(1.8 - 0.016)).toBe('undecided');
		expect(at(1.8 - 0.0165)).toBe('kept');
	});
});

describe('instrument budget', () => {
	const check = { id: 'c', at: 100, reference: 1.7, referenceLimit: 0.002, bias: 0.012, repeatability: 0.005, n: 10 };
	const named = { id: 'i', name: 'i', quantity: 'length', resolution: 0.01, errorLimit: 0.02, checks: [check], studies: [] };
	it('names its largest term', () => {
		expect(instrumentBudget({ ...named, checks: [] }, 1.75, 0).largest).toBe('errorLimit');
		expect(instrumentBudget(named, 1.75, 200).largest).toBe('step');
		expect(instrumentBudget({ ...named, checks: [{ ...check, n: 1, repeatability: null }] }, 1.75, 200)).toMatchObject({ biasMm: 0.012 });
		expect(instrumentBudget({ ...named, checks: [{ ...check, referenceLimit: 0.02 }] }, 1.75, 200).largest).toBe('reference');
	});
	it('takes the last check before the readings, else the first after', () => {
		const later = { ...check, id: 'd', at: 300 };
		expect(recordInForce([later, check], 200)?.id).toBe('c');
		expect(recordInForce([later, check], 400)?.id).toBe('d');
		expect(recordInForce([later, check], 50)?.id).toBe('c');
		expect(recordInForce([], 50)).toBeNull();
	});
	it('a gauge study adds the difference of its raters, and its scatter where a pin shows less', () => {
		const study = { id: 's', at: 150, places: 5, raters: 2, repeats: 3, repeatabilitySd: 0.008, ratersSd: 0.02 };
		const plain = instrumentBudget(named, 1.75, 200);
		const studied = instrumentBudget({ ...named, studies: [study] }, 1.75, 200);
		expect(studied.largest).toBe('raters');
		expect(studied.standardUncertaintyMm).toBeCloseTo(Math.hypot(plain.standardUncertaintyMm, 0.02), 12);
		expect(studied.repeatabilityMm).toBe(0.008);
		const alone = instrumentBudget({ ...named, studies: [{ ...study, raters: 1, ratersSd: 0, repeatabilitySd: 0.0001 }] }, 1.75, 200);
		expect(alone.terms.map((t) => t.id)).not.toContain('raters');
		expect(alone.repeatabilityMm).toBe(plain.repeatabilityMm);
	});
	it('a check is bias and scatter of its readings (arithmetic)', () => {
		expect(checkOfReadings(1.7, [1.71, 1.71, 1.72])).toMatchObject({ n: 3 });
		expect(checkOfReadings(1.7, [1.71, 1.71, 1.72]).bias).toBeCloseTo(0.013333, 6);
		expect(checkOfReadings(1.7, [1.71]).repeatability).toBeNull();
		expect(() => checkOfReadings(1.7, [])).toThrow(RangeError);
	});
});

describe('capability (Pp, Ppk)', () => {
	it('of a centred process with six sigma of room is 1 (arithmetic), intervals by chi-square and Bissell', () => {
		const found = capability({ mean: 1.75, sd: 0.02 / 3, nEffective: 30 }, 1.73, 1.77);
		expect(found?.pp.estimate).toBeCloseTo(1, 9);
		expect(found?.ppk.estimate).toBeCloseTo(1, 9);
		// chi-square(29): 16.047 and 45.722 (table); Bissell: 1.96 sqrt(1/270 + 1/58).
		expect(found?.pp.low).toBeCloseTo(Math.sqrt(16.047 / 29), 4);
		expect(found?.pp.high).toBeCloseTo(Math.sqrt(45.722 / 29), 4);
		expect(found?.ppk.high).toBeCloseTo(1 + 1.959964 * Math.sqrt(1 / 270 + 1 / 58), 6);
	});
	it('is undefined without spread or with one reading', () => {
		expect(capability({ mean: 1.75, sd: 0, nEffective: 30 }, 1.73, 1.77)).toBeNull();
		expect(capability({ mean: 1.75, sd: null, nEffective: 1 }, 1.73, 1.77)).toBeNull();
	});
});

describe('own spread', () => {
	it('takes the instrument out as variances (arithmetic): 5 and 4 leave 3', () => {
		expect(ownSpread({ sdMm: 0.005, nEffective: 50, repeatabilityMm: 0.004 }).sdMm).toBeCloseTo(0.003, 12);
		expect(ownSpread({ sdMm: 0.004, nEffective: 5, repeatabilityMm: 0.004 })).toMatchObject({ sdMm: 0, lowMm: 0, hidden: true });
	});
});

describe('plan of a claim test', () => {
	const claim = { source: 'label' as const, toleranceMm: 0.02, lowMm: 1.73, highMm: 1.77 };
	it('is hopeless before anything with a common caliper, open with a fine one, a third in each zone', () => {
		expect(claimPlan(null, claim, caliper, 330, []).state).toBe('hopeless');
		const open = claimPlan(null, claim, perfect, 330, []);
		expect(open.state).toBe('open');
		expect(open.zones.map((z) => z.zone)).toEqual(['first', 'middle', 'end']);
		expect(open.zones.every((z) => z.wanted === Math.ceil(open.total / 3))).toBe(true);
	});
	it('is decided only when each zone was seen', () => {
		const even = looked(strand(1.75, 0.003, 30));
		expect(
			claimPlan(
				even,
				claim,
				perfect,
				330,
				Array.from({ length: 30 }, () => 1)
			).state
		).toBe('open');
		expect(claimPlan(even, claim, perfect, 330, [...Array.from({ length: 28 }, () => 1), 165, 327]).state).toBe('decided');
	});
	it('knows where it is on the spool', () => {
		expect([null, 3, 165, 327].map((p) => zoneOf(p, 330))).toEqual(['first', 'first', 'middle', 'end']);
	});
	it('1 kg of 1.24 g/cm3 is 335 m at 1.75 mm and 126 m at 2.85 mm (arithmetic)', () => {
		expect(strandLengthM(1000, 1.24, 1.75)).toBeCloseTo(335.3, 1);
		expect(strandLengthM(1000, 1.24, 2.85)).toBeCloseTo(126.4, 1);
	});
});

describe('gauge study', () => {
	/** Five places, three raters, two repeats, as they stand in the reference. */
	const cells = (readings: readonly number[]): CrossedReadings =>
		Array.from({ length: 5 }, (_, p) => Array.from({ length: 3 }, (_, r) => readings.slice(p * 6 + r * 2, p * 6 + r * 2 + 2)));
	const [plain, crossed] = reference.gauges as [(typeof reference.gauges)[number], (typeof reference.gauges)[number]];
	it('pools an interaction that is nothing (AIAG), with R’s mean squares', () => {
		const [places, raters, rest] = plain.pooledMeanSquares as [number, number, number];
		const found = gaugeStudy(cells(plain.readings));
		expect(found.interactionKept).toBe(false);
		expect(found.repeatability).toBeCloseTo(rest, 12);
		expect(found.raters).toBeCloseTo((raters - rest) / 10, 12);
		expect(found.places).toBeCloseTo((places - rest) / 6, 12);
	});
	it('keeps one that shows, with R’s mean squares', () => {
		const [places, raters, both, error] = crossed.meanSquares as [number, number, number, number];
		const found = gaugeStudy(cells(crossed.readings));
		expect(found.interactionP).toBeCloseTo(crossed.pInteraction, 9);
		expect(found.repeatability).toBeCloseTo(error, 12);
		expect(found.interaction).toBeCloseTo((both - error) / 2, 12);
		expect(found.raters).toBeCloseTo(Math.max(0, (raters - both) / 10), 12);
		expect(found.places).toBeCloseTo((places - both) / 6, 12);
		expect(found.gaugePct).toBeCloseTo((found.gaugeSd / found.totalSd) * 100, 9);
	});
	it('gives the whole gauge an interval: of one rater alone it is that of a plain standard deviation', () => {
		// 30 readings of one rater at 5 places: 25 degrees of freedom; chi-square quantiles 40.646 and 13.120 (any table).
		const one = cells(plain.readings).map((row) => [row.flat()]);
		const found = gaugeStudy(one);
		expect(found.size).toEqual({ places: 5, raters: 1, repeats: 6 });
		expect(found.gaugeSdInterval.low).toBeCloseTo(found.gaugeSd * Math.sqrt(25 / 40.646), 6);
		expect(found.gaugeSdInterval.high).toBeCloseTo(found.gaugeSd * Math.sqrt(25 / 13.12), 6);
	});
	it('raters who differ make it wide: two raters are one degree of freedom', () => {
		const apart = cells(plain.readings).map((row) => [row[0] as readonly number[], (row[0] as readonly number[]).map((v) => v + 0.02)]);
		const found = gaugeStudy(apart);
		expect(Math.sqrt(found.raters)).toBeCloseTo(0.02 / Math.SQRT2, 3);
		expect(found.gaugeSdInterval.high / found.gaugeSd).toBeGreaterThan(5);
	});
	it('a display that repeats itself exactly still tells raters apart at single places', () => {
		const found = gaugeStudy([
			[
				[1.75, 1.75],
				[1.75, 1.75]
			],
			[
				[1.74, 1.74],
				[1.76, 1.76]
			]
		]);
		expect(found).toMatchObject({ interactionKept: true, interactionP: 0, repeatability: 0 });
		expect(found.interaction).toBeGreaterThan(0);
		const alike = gaugeStudy([[[1.75, 1.75]], [[1.75, 1.75]]]);
		expect(alike).toMatchObject({ gaugeSd: 0, gaugeSdInterval: { low: 0, high: 0 }, gaugePct: 0 });
	});
	it('the plan sends every rater to every place in every round, and readings become the table', () => {
		const size = { places: 5, raters: 3, repeats: 2 };
		const plan = studyPlan(size, randomSource(3));
		expect(new Set(plan.map((s) => `${s.place} ${s.rater} ${s.repeat}`)).size).toBe(30);
		expect(plan.slice(0, 5).map((s) => s.rater)).toEqual([0, 0, 0, 0, 0]);
		expect(plan.slice(0, 5).map((s) => s.place)).not.toEqual([0, 1, 2, 3, 4]);
		const table = cellsOf(plan.map(({ place, rater, repeat }) => ({ place, rater, value: place * 100 + rater * 10 + repeat })));
		expect(table?.[4]?.[2]).toEqual([420, 421]);
		expect(cellsOf(plan.slice(1).map(({ place, rater }) => ({ place, rater, value: 1 })))).toBeNull();
		expect(cellsOf([])).toBeNull();
	});
	it('refuses what is not crossed', () => {
		expect(() => gaugeStudy([[[1, 2]], [[1]]])).toThrow(RangeError);
		expect(() => gaugeStudy([[[1, 2]]])).toThrow(RangeError);
	});
});
