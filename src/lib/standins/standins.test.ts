import { describe, expect, it } from 'vitest';
import { LogReader } from '$lib/core/record/gauge-log/read-log';
import { summarise } from '$lib/core/record/gauge-log/summary';
import { spreadOf } from '$lib/core/kernel/stats/spread';
import { caliper } from './caliper';
import { lineGauge, lineGaugeFile, lineGaugeText, type MadeStrand } from './line-gauge';

const strand: MadeStrand = {
	meanMm: 1.75,
	driftMmPer100M: 0.01,
	periodicity: { periodM: 1.9, amplitudeMm: 0.006 },
	wander: { sdMm: 0.003, lengthM: 5 },
	noiseMm: 0.001,
	thickSpots: [{ atM: 40, overMm: 0.25, lengthM: 0.1 }]
};
const gauge = { stepM: 0.01, resolutionMm: 0.001, axes: 2 as const, ovalityMm: 0.004 };

describe('stand-ins', () => {
	it('a line gauge’s file comes in through the same door, and what was put in is found', () => {
		const reader = new LogReader({
			headerRows: 1,
			delimiter: ',',
			decimal: '.',
			unit: 'mm',
			along: 1,
			across: 2,
			place: { kind: 'position', column: 0, perMetre: 1 }
		});
		reader.push(lineGaugeFile(strand, gauge, 20_000, 7));
		const read = reader.finish();
		if (!read.ok) throw new Error('was refused');
		const found = summarise(read.log, 1.75);
		expect(found.periodicity?.periodM).toBeCloseTo(1.9, 1);
		expect(found.periodicity?.amplitudeMm).toBeCloseTo(0.006, 3);
		expect(found.thickSpots.thickest[0]?.fromM).toBeGreaterThan(39.9);
		expect(found.thickSpots.thickest[0]?.fromM).toBeLessThan(40.1);
		expect(found.ovalityMm?.estimate).toBeCloseTo(0.004, 3);
	});
	it('a line gauge that measures live writes the same as its file, some lines at a time', () => {
		const pieces = [...lineGaugeText(strand, gauge, 1000, 7, 240)];
		expect(pieces).toHaveLength(5);
		expect(pieces.join('')).toBe(lineGaugeFile(strand, gauge, 1000, 7));
	});
	it('the same seed gives the same strand, another one another', () => {
		const first = (seed: number) => [...lineGauge(strand, gauge, 5, seed)].map((s) => s.along);
		expect(first(7)).toEqual(first(7));
		expect(first(7)).not.toEqual(first(8));
	});
	it('a caliper shows its steps, its bias and its scatter', () => {
		const next = caliper({ biasMm: 0.02, scatterMm: 0.004, resolutionMm: 0.01 }, 1.75, 0.006, 3);
		const shown = Array.from({ length: 4000 }, () => next());
		expect(shown.every((t) => /^1\.\d\d$/.test(t))).toBe(true);
		const over = spreadOf(shown.map(Number));
		expect(over?.mean).toBeCloseTo(1.77, 2);
		expect(over?.sd).toBeCloseTo(Math.sqrt(0.006 ** 2 + 0.004 ** 2 + 0.01 ** 2 / 12), 3);
	});
});
