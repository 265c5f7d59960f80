import { describe, expect, it } from 'vitest';
import { diameters, evidence, protocol } from '../../../../tests/support/evidence';
import type { Finding } from '../finding/types';
import { decidability } from './decidability';
import { flowError } from './flow';
import { oddReadings } from './odd-readings';
import { diameterStation } from './station';

const caliper = { id: 'cal', name: 'Caliper B', quantity: 'length', resolution: 0.01, errorLimit: 0.02 };
const micrometer = { id: 'mic', name: 'Micrometer', quantity: 'length', resolution: 0.001, errorLimit: 0.002 };

function find(values: number[], more: Parameters<typeof evidence>[0] = {}, instrument = caliper): { mean: Finding; outside: Finding } {
	const [mean, outside] = diameterStation.find(
		evidence({
			readings: diameters(values, { instrumentId: instrument.id, resolution: instrument.resolution }),
			instruments: [instrument],
			...more
		}),
		protocol,
		0
	) as [Finding, Finding];
	return { mean, outside };
}

const firstMessage = (f: Finding) => f.messages[0]?.id;

describe('flow', () => {
	it('goes with the square of the diameter (arithmetic): 1.77 is 2.30 % more, 1.70 is 5.63 % less', () => {
		expect(flowError(1.77, 1.75) * 100).toBeCloseTo(2.3, 2);
		expect(flowError(1.7, 1.75) * 100).toBeCloseTo(-5.63, 2);
	});
});

describe('whether the instrument can decide the claim', () => {
	it('a common caliper cannot decide +/-0.02 mm, a micrometer can', () => {
		expect(decidability(0.02, 0.01, 0.02)).toMatchObject({ able: 'unable' });
		expect(decidability(0.002, 0.001, 0.02)).toMatchObject({ able: 'able' });
		expect(decidability(0.008, 0.001, 0.02).able).toBe('marginal');
	});
	it('adds the half step of the display to the error limit', () => {
		// sqrt((0.02 / sqrt 3)^2 + (0.005 / sqrt 3)^2), arithmetic.
		expect(decidability(0.02, 0.01, 0.02).standardUncertaintyMm).toBeCloseTo(Math.sqrt((0.0004 + 0.000025) / 3), 12);
	});
});

describe('mean diameter', () => {
	it('asks for readings and draws from nothing when there are none', () => {
		const { mean } = find([]);
		expect(mean).toMatchObject({ n: 0, estimate: null, interval: null, grade: 'none' });
		expect(mean.sampling.kind).toBe('unknown');
		expect(mean.missing[0]).toMatchObject({ action: 'measureDiameter', count: 10 });
	});
	it('has no interval from one place', () => {
		const { mean } = find([1.75, 1.76]);
		expect(mean).toMatchObject({ n: 2, nEffective: 1, interval: null, grade: 'thin' });
		expect(mean.missing[0]?.count).toBe(8);
	});
	it('never gets narrower than the instrument allows, however many readings', () => {
		const { mean } = find(Array.from({ length: 200 }, (_, i) => (i % 2 ? 1.75 : 1.76)));
		const half = ((mean.interval?.high ?? 0) - (mean.interval?.low ?? 0)) / 2;
		expect(half).toBeGreaterThan(1.9 * Math.sqrt((0.0004 + 0.000025) / 3));
	});
	it('leaves excluded readings out and says which', () => {
		const readings = diameters([1.75, 1.76, 1.57, 1.75], { instrumentId: 'cal' });
		const excluded = readings.map((r, i) => (i === 2 ? { ...r, status: 'excluded' as const } : r));
		const { mean } = find([], { readings: excluded });
		expect(mean.n).toBe(3);
		expect(mean.estimate).toBeCloseTo((1.75 + 1.76 + 1.75) / 3, 12);
		expect(mean.inputs.excluded).toEqual([readings[2]?.id]);
	});
});

describe('the sentence', () => {
	const good = [1.75, 1.76, 1.74, 1.75, 1.76, 1.75, 1.75, 1.74, 1.75, 1.76];
	it('does not let a caliper prove the claim', () => {
		const { mean } = find(good);
		expect(firstMessage(mean)).toBe('diameterCannotTell');
		expect(mean.messages.map((m) => m.id)).toContain('instrument.unable');
	});
	it('lets a micrometer say that all readings were inside', () => {
		expect(firstMessage(find(good, {}, micrometer).mean)).toBe('diameterInside');
	});
	it('says beyond doubt only when the reading is outside by more than the instrument', () => {
		expect(firstMessage(find([...good.slice(0, 9), 1.78]).mean)).toBe('diameterSeemsOutside');
		expect(firstMessage(find([...good.slice(0, 9), 1.8]).mean)).toBe('diameterBeyondDoubt');
	});
	it('says when nothing was claimed and when label and listing differ', () => {
		expect(firstMessage(find(good, { claims: [] }).mean)).toBe('diameterNoClaim');
		const two = [
			{ id: 'a', quantity: 'diameterTolerance', source: 'label' as const, value: 0.02 },
			{ id: 'b', quantity: 'diameterTolerance', source: 'listing' as const, value: 0.03 }
		];
		expect(find(good, { claims: two }).mean.messages.map((m) => m.id)).toContain('twoTolerances');
	});
	it('says when no instrument was named', () => {
		const { mean } = find([], { readings: diameters(good) });
		expect(mean.messages.map((m) => m.id)).toContain('instrumentUnnamed');
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
		const { outside } = find([1.73, 1.77, 1.75, 1.78]);
		expect(outside.estimate).toBe(0.25);
		expect(outside.figure).toEqual({ kind: 'share', successes: 1, n: 4 });
	});
	it('is unknown without a claim', () => {
		expect(find([1.75, 1.75], { claims: [] }).outside.sampling).toMatchObject({ kind: 'unknown', reason: { id: 'noToleranceStated' } });
	});
});
