import { describe, expect, it } from 'vitest';
import { diameters, evidence, basis } from '../../../../../tests/support/evidence';
import type { Instrument } from '../../record/evidence/instrument';
import type { Finding } from '../../judging/finding/types';
import { flowAdvice, flowError } from './flow';
import { oddReadings } from './odd-readings';
import { diameterStation } from './station';

const caliper: Instrument = {
	id: 'cal',
	name: 'Caliper B',
	quantity: 'length',
	resolution: 0.01,
	errorLimit: 0.02,
	checks: [],
	studies: []
};
const micrometer: Instrument = {
	id: 'mic',
	name: 'Micrometer',
	quantity: 'length',
	resolution: 0.001,
	errorLimit: 0.002,
	checks: [],
	studies: []
};

function find(values: number[], more: Parameters<typeof evidence>[0] = {}, instrument = caliper, rule = basis): Record<string, Finding> {
	const findings = diameterStation.find(
		evidence({
			readings: diameters(values, { instrumentId: instrument.id, resolution: instrument.resolution }),
			instruments: [instrument],
			...more
		}),
		rule
	);
	return Object.fromEntries(findings.map((f) => [f.subject.variant ? `${f.quantity} ${f.subject.variant}` : f.quantity, f]));
}
const mean = (found: Record<string, Finding>) => found.diameterMean as Finding;
const ids = (f: Finding | undefined) => f?.messages.map((m) => m.id) ?? [];

/** Ten readings, two a place, that scatter as a good strand does. */
const good = [1.75, 1.76, 1.74, 1.75, 1.76, 1.75, 1.75, 1.74, 1.75, 1.76];
const fine = (offset: number, spread: number, n = 40) =>
	Array.from({ length: n }, (_, i) => Number((1.75 + offset + spread * Math.sin(i * 2.4)).toFixed(3)));

describe('flow', () => {
	it('goes with the square of the diameter (arithmetic): 1.77 is 2.30 % more, 1.70 is 5.63 % less', () => {
		expect(flowError(1.77, 1.75) * 100).toBeCloseTo(2.3, 2);
		expect(flowError(1.7, 1.75) * 100).toBeCloseTo(-5.63, 2);
	});
	it('averages squares: a mean on nominal with spread still gives too much', () => {
		const advice = flowAdvice({ n: 2, meanMm: 1.75, sdMm: 0.1 * Math.SQRT2, uMm: 0 }, 1.75);
		// Two readings, 1.65 and 1.85: the mean of their squares.
		expect(advice.rmsMm).toBeCloseTo(Math.sqrt((1.65 ** 2 + 1.85 ** 2) / 2), 12);
		expect(advice.ratio).toBeLessThan(1);
	});
	it('ripple: 0.01 mm of spread is 2.24 % of flow either way, 0.010 mm of a 0.45 mm line (arithmetic)', () => {
		const advice = flowAdvice({ n: 10, meanMm: 1.75, sdMm: 0.01, uMm: 0.005 }, 1.75);
		expect(advice.ripplePct).toBeCloseTo(2.24, 2);
		expect(advice.rippleWidthMm).toBeCloseTo(0.01008, 4);
		expect(advice.ratioLow).toBeLessThan(advice.ratio);
		expect(advice.ratioHigh).toBeGreaterThan(advice.ratio);
	});
});

describe('mean diameter', () => {
	it('asks for readings and draws from nothing when there are none', () => {
		const found = find([]);
		expect(mean(found)).toMatchObject({ n: 0, estimate: null, interval: null, grade: 'none' });
		for (const f of Object.values(found)) expect(f.sampling.kind).toBe('unknown');
		expect(mean(found).missing[0]).toMatchObject({ action: 'measureDiameter', count: 10 });
	});
	it('has no interval from one place', () => {
		const found = find([1.75, 1.76]);
		expect(mean(found)).toMatchObject({ n: 2, nEffective: 1, interval: null, grade: 'thin' });
		expect(ids(mean(found))[0]).toBe('claimOnePlace');
		expect(mean(found).missing[0]?.count).toBe(8);
	});
	it('never gets narrower than the instrument allows, however many readings', () => {
		const over = mean(find(Array.from({ length: 200 }, (_, i) => (i % 2 ? 1.75 : 1.76))));
		const half = ((over.interval?.high ?? 0) - (over.interval?.low ?? 0)) / 2;
		expect(half).toBeGreaterThan(1.9 * Math.sqrt((0.0004 + 0.000025) / 3));
	});
	it('leaves excluded readings out and says which', () => {
		const readings = diameters([1.75, 1.76, 1.57, 1.75], { instrumentId: 'cal' });
		const excluded = readings.map((r, i) => (i === 2 ? { ...r, status: 'excluded' as const } : r));
		const over = mean(find([], { readings: excluded }));
		expect(over.n).toBe(3);
		expect(over.estimate).toBeCloseTo((1.75 + 1.76 + 1.75) / 3, 12);
		expect(over.inputs.excluded).toEqual([readings[2]?.id]);
	});
	it('two directions that agree make one independent reading, two that scatter make two', () => {
		expect(mean(find([1.74, 1.74, 1.75, 1.75, 1.76, 1.76, 1.75, 1.75])).nEffective).toBe(4);
		expect(mean(find([1.74, 1.76, 1.76, 1.74, 1.74, 1.76, 1.75, 1.75])).nEffective).toBeGreaterThan(4);
	});
});

describe('the sentence', () => {
	it('a common caliper decides nothing, but a checked one could: said first, with what to do', () => {
		const found = find(good);
		expect(ids(mean(found))[0]).toBe('claimNeverCheck');
		expect(ids(mean(found))).toContain('instrument.onlyBroken');
		expect(ids(mean(found))).toContain('budget.errorLimit');
	});
	it('comes to a word or two for the sheet', () => {
		const word = (values: number[], instrument = micrometer) => mean(find(values, {}, instrument)).word;
		expect(word(fine(0, 0.004))).toEqual({ id: 'word.kept', params: { tolerance: 0.02 } });
		expect(word(fine(0.02, 0.012))?.id).toBe('word.broken');
		expect(word(good, caliper)?.id).toBe('word.undecided');
		expect(word([1.75, 1.76])?.id).toBe('word.onePlace');
		expect(mean(find(good, { claims: [] })).word).toBeNull();
		expect(word([])).toBeNull();
	});
	it('a caliper that is checked takes its bias off and may decide', () => {
		const checked: Instrument = {
			...caliper,
			resolution: 0.001,
			checks: [{ id: 'c', at: 0, reference: 1.7, referenceLimit: 0.001, bias: 0.01, repeatability: 0.002, n: 10 }]
		};
		const found = find(fine(0.01, 0.004), {}, checked);
		expect(mean(found).estimate).toBeCloseTo(1.75, 3);
		expect(ids(mean(found))[0]).toBe('claimKept');
		expect(ids(mean(found))).toContain('biasTaken');
	});
	it('a check far from the strand is said and not used', () => {
		const far: Instrument = {
			...caliper,
			checks: [{ id: 'c', at: 0, reference: 10, referenceLimit: 0.001, bias: 0.01, repeatability: 0.002, n: 10 }]
		};
		const found = find(good, {}, far);
		expect(ids(mean(found))).toContain('checkFar');
		expect(mean(found).estimate).toBeCloseTo(mean(find(good)).estimate as number, 12);
	});
	it('a micrometer says kept, broken, or when it is looked at next', () => {
		expect(ids(mean(find(fine(0, 0.004), {}, micrometer)))[0]).toBe('claimKept');
		expect(ids(mean(find(fine(0.02, 0.012), {}, micrometer)))[0]).toBe('claimBroken');
		const few = (n: number) => mean(find(fine(0, 0.008, n), {}, micrometer)).messages[0];
		expect(few(10)).toMatchObject({ id: 'claimFewSpots', params: { have: 5, least: 6 } });
		expect(few(14)).toMatchObject({ id: 'claimMore', params: { n: 14, next: 24, decidesAt: 24 } });
	});
	it('all outside is broken even for a caliper', () => {
		expect(ids(mean(find(Array.from({ length: 12 }, (_, i) => 1.82 + (i % 3) / 100))))[0]).toBe('claimBroken');
	});
	it('says when nothing was claimed, and judges the listing beside the label when they differ', () => {
		expect(ids(mean(find(good, { claims: [] })))[0]).toBe('diameterNoClaim');
		const two = [
			{ id: 'a', quantity: 'diameterTolerance', source: 'label' as const, value: 0.02 },
			{ id: 'b', quantity: 'diameterTolerance', source: 'listing' as const, value: 0.05 }
		];
		const found = find(fine(0.012, 0.008), { claims: two }, micrometer);
		expect(found.diameterInside?.messages[0]?.params).toMatchObject({ source: 'label', tolerance: 0.02 });
		expect(found['diameterInside listing']?.messages[0]).toMatchObject({ id: 'claimKept', params: { tolerance: 0.05 } });
	});
	it('the stricter school: one reading surely outside breaks it, all surely inside keep it, else undecided', () => {
		const strict = { ...basis, claimRule: 'anyReading' as const };
		const first = (values: number[]) => ids(mean(find(values, {}, micrometer, strict)))[0];
		expect(first([...fine(0, 0.004), 1.775])).toBe('strict.broken');
		expect(first(fine(0, 0.004))).toBe('strict.kept');
		expect(first([...fine(0, 0.004), 1.7705])).toBe('strict.undecided');
	});
	it('the finest instrument speaks alone once it has ten readings; before, all are as good as the worst', () => {
		const both = (n: number) =>
			find([], {
				instruments: [caliper, micrometer],
				readings: [...diameters(good, { instrumentId: 'cal' }), ...diameters(fine(0, 0.004, n), { instrumentId: 'mic', resolution: 0.001 })]
			});
		expect(ids(mean(both(30)))[0]).toBe('claimKept');
		expect(mean(both(30))).toMatchObject({ n: 30 });
		expect(ids(mean(both(30)))).toContain('finestOnly');
		expect(mean(both(6))).toMatchObject({ n: 16 });
		expect(ids(mean(both(6)))[0]).toBe('claimNeverCheck');
	});
	it('says when no instrument was named', () => {
		expect(ids(mean(find([], { readings: diameters(good) })))).toContain('instrumentUnnamed');
	});
});

describe('odd readings', () => {
	const values = [1.76, 1.75, 1.57, 1.76, 1.75];
	it('questions swapped digits', () => {
		expect(oddReadings(diameters(values)).map((r) => r.value)).toEqual([1.57]);
	});
	it('does not ask again once confirmed, nor among three', () => {
		expect(oddReadings(diameters(values).map((r) => ({ ...r, confirmed: true })))).toEqual([]);
		expect(oddReadings(diameters([1.76, 1.57, 1.75]))).toEqual([]);
	});
	it('leaves ordinary scatter alone', () => {
		expect(oddReadings(diameters([1.75, 1.75, 1.75, 1.75, 1.78]))).toEqual([]);
	});
});

describe('share outside the stated tolerance', () => {
	it('counts a reading on the limit as inside', () => {
		const outside = find([1.73, 1.77, 1.75, 1.78]).diameterOutside;
		expect(outside?.estimate).toBe(0.25);
		expect(outside?.figure).toEqual({ kind: 'share', successes: 1, n: 4 });
	});
	it('is unknown without a claim', () => {
		expect(find([1.75, 1.75], { claims: [] }).diameterOutside?.sampling).toMatchObject({
			kind: 'unknown',
			reason: { id: 'noToleranceStated' }
		});
	});
});

describe('the spread of the strand', () => {
	it('is hidden by a caliper that scatters as much, and shown where it does not', () => {
		const even = find([1.75, 1.75, 1.76, 1.75, 1.75, 1.75, 1.75, 1.75, 1.75, 1.75]).diameterSpread;
		expect(ids(even)[0]).toBe('spreadHidden');
		expect(even?.interval?.low).toBe(0);
		expect(ids(find(fine(0, 0.02), {}, micrometer).diameterSpread)[0]).toBe('spreadSeen');
	});
	it('two equal readings, a constant strand: no capability instead of millions, no NaN', () => {
		const found = find(
			Array.from({ length: 10 }, () => 1.75),
			{},
			micrometer
		);
		expect(ids(found.diameterSpread)).toContain('capabilityUndefined');
		expect(found.diameterSpread?.estimate).toBe(0);
		expect(JSON.stringify(found)).not.toMatch(/NaN|Infinity|null,null/);
	});
	it('names ovality and drift with their n', () => {
		const oval = find([1.76, 1.74, 1.765, 1.745, 1.77, 1.75, 1.775, 1.755, 1.78, 1.76], {}, micrometer);
		expect(oval.ovality).toMatchObject({ n: 5 });
		expect(oval.ovality?.estimate).toBeCloseTo(0.02, 9);
		expect(ids(oval.diameterSpread)).toContain('driftSeen');
	});
});
