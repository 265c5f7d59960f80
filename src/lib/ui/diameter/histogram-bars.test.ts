import { describe, expect, it } from 'vitest';
import { barsOfLog, barsOfReadings, barsToDraw } from './histogram-bars';

const limits = { lowMm: 1.73, highMm: 1.77 };

describe('bars of a histogram', () => {
	it('one for each value shown, as wide as the step; a reading on a limit is inside', () => {
		const bars = barsOfReadings([1.75, 1.77, 1.75, 1.78, 1.72, 0.1 + 1.65], 0.01, limits);
		expect(bars.map((b) => b.count)).toEqual([1, 3, 1, 1]);
		expect(bars.map((b) => b.outside)).toEqual([true, false, false, true]);
		expect(bars[0]?.fromMm).toBeCloseTo(1.715, 9);
		expect(bars[0]?.toMm).toBeCloseTo(1.725, 9);
		expect(barsOfReadings([], 0.01, null)).toEqual([]);
	});
	it('many steps are put together, and none of them straddles the lower limit', () => {
		const values = Array.from({ length: 60 }, (_, i) => 1.715 + i * 0.001);
		const bars = barsOfReadings(values, 0.001, limits);
		expect(bars.length).toBeLessThanOrEqual(17);
		expect(bars.reduce((sum, b) => sum + b.count, 0)).toBe(60);
		expect(bars.some((b) => b.fromMm < 1.7294 && b.toMm > 1.7296)).toBe(false);
		expect(bars.filter((b) => b.outside && b.toMm < 1.731).reduce((sum, b) => sum + b.count, 0)).toBe(15);
	});
	it('of a log: never more than can be told apart, no sample lost, bias off', () => {
		const counts = Array.from({ length: 201 }, (_, i) => i);
		const bars = barsOfLog({ startMm: 1.7, binMm: 0.0005, counts }, 0.003, limits);
		expect(bars.length).toBeLessThanOrEqual(80);
		expect(bars.reduce((sum, b) => sum + b.count, 0)).toBe((200 * 201) / 2);
		expect(bars[0]?.fromMm).toBeCloseTo(1.7 - 0.00025 - 0.003, 9);
		expect(bars[0]?.outside).toBe(true);
		expect(bars.some((b) => !b.outside)).toBe(true);
		expect(barsOfLog({ startMm: 1.7, binMm: 0.0005, counts: [3] }, 0, null)).toHaveLength(1);
	});
	it('is drawn without gaps and with nothing at both ends, each bar at its place', () => {
		const bars = barsOfReadings([1.72, 1.75, 1.75], 0.01, limits);
		const drawn = barsToDraw(bars);
		expect(drawn.map((b) => b.count)).toEqual([0, 1, 0, 0, 2, 0]);
		expect(drawn.map((b) => Math.round((b.fromMm + b.toMm) * 500) / 1000)).toEqual([1.71, 1.72, 1.73, 1.74, 1.75, 1.76]);
		expect(drawn.filter((b) => b.count > 0)).toEqual(bars);
		expect(barsToDraw(barsOfReadings([1.75], 0.01, null)).map((b) => b.count)).toEqual([0, 1, 0]);
		expect(barsToDraw([])).toEqual([]);
	});
});
