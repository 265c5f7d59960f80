import { describe, expect, it } from 'vitest';
import { strandShape } from './strand-shape';

const data = (values: [number, number][], toleranceMm: number | null = 0.02) => ({
	kind: 'strand' as const,
	nominalMm: 1.75,
	toleranceMm,
	places: values.map(([lowMm, highMm], index) => ({ index, positionM: null, lowMm, highMm }))
});

describe('the strand', () => {
	it('an edge on its limit lies on the limit line', () => {
		const shape = strandShape(
			data([
				[1.77, 1.77],
				[1.77, 1.77]
			]),
			2,
			100,
			40
		);
		const outer = shape.limits.filter((l) => l.outer).map((l) => l.y.toFixed(1));
		expect(shape.ribbon).toBe(`M0.0,${outer[0]}L100.0,${outer[0]}L100.0,${outer[1]}L0.0,${outer[1]}Z`);
		expect(shape.outside).toEqual([]);
	});
	it('marks what is beyond', () => {
		expect(
			strandShape(
				data([
					[1.75, 1.75],
					[1.72, 1.78]
				]),
				2,
				100,
				40
			).outside
		).toHaveLength(2);
	});
	it('ends where the measured part ends', () => {
		expect(
			strandShape(
				data([
					[1.75, 1.75],
					[1.75, 1.75]
				]),
				5,
				100,
				40
			).measuredTo
		).toBe(25);
	});
	it('draws nothing of nothing and no limits without a claim', () => {
		expect(strandShape(data([]), 5, 100, 40).ribbon).toBe('');
		expect(strandShape(data([[1.7, 1.8]], null), 1, 100, 40).limits).toEqual([]);
	});
});
