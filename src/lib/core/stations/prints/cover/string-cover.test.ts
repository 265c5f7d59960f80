import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawnPhoto, type DrawnPhoto, type DrawnStrand } from '../../../../../../tests/support/drawn-strings';
import { patchesOf } from './components';
import { layOut, pointIn } from './gap';
import { measureStringCover } from './measure-string-cover';
import { orderCorners } from './order-corners';
import { runningMedian } from './running-median';
import type { Corners } from './types';

const strand = (at: number, thick = 2, more: Partial<DrawnStrand> = {}): DrawnStrand => ({
	from: at,
	to: at + 0.03,
	sag: 0.02,
	thick,
	...more
});
const photo: DrawnPhoto = {
	width: 640,
	height: 480,
	strands: [],
	ground: [28, 30, 34],
	filament: [225, 222, 215],
	noise: 1.5
};
const measured = (spec: Partial<DrawnPhoto>) => {
	const drawn = drawnPhoto({ ...photo, ...spec });
	return { drawn, found: measureStringCover(drawn.pixels, drawn.corners) };
};
const FIVE = [strand(0.1), strand(0.25, 3), strand(0.45, 2), strand(0.6, 4), strand(0.85, 2)];

describe('strands on drawn photographs', () => {
	it('of a clean gap are none, and the photograph is clear', () => {
		const { found } = measured({});
		expect(found).toMatchObject({ count: 0, coveragePct: 0, quality: 'clear', faults: [], seenAt: [] });
	});
	it('are counted and cover what was drawn', () => {
		const { drawn, found } = measured({ strands: FIVE });
		expect(found).toMatchObject({ count: 5, quality: 'clear' });
		expect(found.coveragePct).toBeGreaterThan(drawn.coveragePct * 0.8);
		expect(found.coveragePct).toBeLessThan(drawn.coveragePct * 1.2);
		expect(found.lowPct).toBeLessThanOrEqual(found.coveragePct);
		expect(found.highPct).toBeGreaterThanOrEqual(found.coveragePct);
		expect(found).toMatchObject({ countLow: 5, countHigh: 5 });
		// Five strands on each of twenty-one lines, each where it was drawn.
		expect(found.seenAt).toHaveLength(5 * 21);
		const [top, bottom] = [drawn.corners[0][1], drawn.corners[3][1]];
		for (const [, y] of found.seenAt) {
			const share = (y - top) / (bottom - top);
			expect(Math.min(...FIVE.map((s) => Math.abs(share - s.from - 0.025)))).toBeLessThan(0.035);
		}
	});
	it('are told from dust, which is said', () => {
		const { drawn, found } = measured({ strands: FIVE, specks: 160 });
		expect(found.count).toBe(5);
		expect(found.coveragePct).toBeLessThan(drawn.coveragePct * 1.25);
		expect(found).toMatchObject({ quality: 'doubtful', faults: ['dusty'] });
		expect(measured({ specks: 160 }).found).toMatchObject({ count: 0, quality: 'doubtful' });
	});
	it('on a dark picture are found as far as they stand out, and the picture is doubted', () => {
		const { found } = measured({ strands: FIVE, exposure: 0.06, noise: 1.8 });
		expect(found.count).toBe(5);
		expect(found).toMatchObject({ quality: 'doubtful', faults: ['alike'] });
		expect(measured({ strands: FIVE, exposure: 0.015, noise: 1.8 }).found.quality).toBe('unusable');
	});
	it('on a tilted photograph are the same ones', () => {
		for (const tiltDeg of [-20, 12, 35]) {
			const { drawn, found } = measured({ strands: FIVE, tiltDeg });
			expect(found.count).toBe(5);
			expect(found.coveragePct).toBeGreaterThan(drawn.coveragePct * 0.8);
			expect(found.coveragePct).toBeLessThan(drawn.coveragePct * 1.2);
			expect(found.quality).toBe('clear');
		}
	});
	it('of a colour as bright as the background are seen by colour; dark ones on light as well', () => {
		expect(measured({ strands: FIVE, ground: [40, 140, 60], filament: [190, 60, 70] }).found).toMatchObject({ count: 5, quality: 'clear' });
		expect(measured({ strands: FIVE, ground: [225, 225, 225], filament: [30, 30, 30] }).found).toMatchObject({
			count: 5,
			quality: 'clear'
		});
	});
	it('of the colour of the background cannot be measured, and that is said', () => {
		const { found } = measured({ strands: FIVE, ground: [200, 200, 200], filament: [203, 202, 202] });
		expect(found).toMatchObject({ quality: 'unusable' });
		expect(found.faults).toContain('alike');
	});
	it('hairs thinner than a point still count', () => {
		const hairs = [0.15, 0.35, 0.55, 0.75].map((at) => strand(at, 1, { strength: 0.35 }));
		expect(measured({ strands: hairs }).found).toMatchObject({ count: 4, quality: 'clear' });
	});
	it('a stub that does not reach across is no strand', () => {
		const { drawn } = measured({});
		const { width, data } = drawn.pixels;
		for (let x = 190; x < 215; x++) data.fill(230, 4 * (240 * width + x), 4 * (240 * width + x) + 3);
		expect(measureStringCover(drawn.pixels, drawn.corners).count).toBe(0);
	});
	it('small, noisy and crossed corners are refused in words', () => {
		expect(measured({ width: 120, height: 90 }).found).toMatchObject({ quality: 'unusable', faults: ['small'] });
		expect(measured({ noise: 25 }).found.quality).toBe('unusable');
		const { pixels, corners } = measured({}).drawn;
		const crossed: Corners = [corners[0], corners[2], corners[1], corners[3]];
		expect(measureStringCover(pixels, crossed)).toMatchObject({ quality: 'unusable', faults: ['corners'], count: 0 });
		expect(measureStringCover(pixels, [corners[0], corners[0], corners[0], corners[0]]).quality).toBe('unusable');
	});
	it('more strands cover more, whatever their places', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 6 }), fc.integer({ min: 1, max: 1000 }), (n, seed) => {
				const strands = Array.from({ length: n }, (_, i) => strand(0.08 + 0.13 * i, 2 + (seed % 3)));
				const { found } = measured({ strands, seed, width: 480, height: 360, noise: 1 });
				expect(found.count).toBe(n);
			}),
			{ numRuns: 12, seed: 3 }
		);
	});
});

describe('parts of it', () => {
	it('four clicks in any order are the same corners', () => {
		const { corners } = drawnPhoto({ ...photo, tiltDeg: 12 });
		fc.assert(
			fc.property(fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4 }), (order) => {
				const clicked = order.map((i) => corners[i]) as unknown as Parameters<typeof orderCorners>[0];
				expect(orderCorners(clicked)).toEqual(corners);
			})
		);
	});
	it('a running median is the median of each window', () => {
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 0, max: 1020 }), { minLength: 3, maxLength: 60 }),
				fc.integer({ min: 1, max: 9 }),
				(quarters, reach) => {
					const values = Float32Array.from(quarters, (q) => q / 4);
					const at = (i: number) => values[Math.max(0, Math.min(values.length - 1, i))] as number;
					const plain = Array.from(values, (_, i) => {
						const window = Array.from({ length: 2 * reach + 1 }, (__, k) => at(i - reach + k)).sort((a, b) => a - b);
						return window[reach] as number;
					});
					expect([...runningMedian(values, reach)]).toEqual(plain);
				}
			)
		);
	});
	it('patches hang together over corners, and not over the edge of a row', () => {
		expect(patchesOf(Uint8Array.of(1, 0, 0, 1), 2)).toHaveLength(1);
		expect(patchesOf(Uint8Array.of(0, 0, 1, 1, 0, 0), 3)).toHaveLength(2);
		expect(patchesOf(new Uint8Array(4), 2)).toEqual([]);
	});
	it('a gap is laid out between its corners', () => {
		expect(
			pointIn(
				[
					[0, 0],
					[10, 0],
					[8, 20],
					[2, 20]
				],
				0.5,
				1
			)
		).toEqual([5, 20]);
		const { pixels, corners } = drawnPhoto(photo);
		const gap = layOut(pixels, corners);
		expect(gap.contrast).toBeGreaterThan(300);
		expect(gap.rowWidths[0]).toBeGreaterThan(gap.rowWidths.at(-1) ?? Infinity);
	});
});
