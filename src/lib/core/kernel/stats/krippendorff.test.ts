import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { krippendorffAlpha } from './krippendorff';

/** Four observers, twelve units, some left out: Krippendorff 2011, Computing Krippendorff's alpha-reliability, example C. */
const OBSERVERS = [
	[1, 2, 3, 3, 2, 1, 4, 1, 2, null, null, null],
	[1, 2, 3, 3, 2, 2, 4, 1, 2, 5, null, 3],
	[null, 3, 3, 3, 2, 3, 4, 2, 2, 5, 1, null],
	[1, 2, 3, 3, 2, 4, 4, 1, 2, 5, 1, null]
];
const UNITS = Array.from({ length: 12 }, (_, u) => OBSERVERS.flatMap((o) => o[u] ?? []));

describe('alpha of several scorers', () => {
	it('is the published one, ordinal and by size; a unit of one scorer is left aside', () => {
		expect(krippendorffAlpha(UNITS, 'ordinal')?.alpha).toBeCloseTo(0.815, 3);
		expect(krippendorffAlpha(UNITS, 'interval')?.alpha).toBeCloseTo(0.849, 3);
		expect(krippendorffAlpha(UNITS, 'ordinal')).toMatchObject({ n: 11, scorings: 40 });
	});
	it('has an interval that holds it, from leaving one unit out at a time', () => {
		const found = krippendorffAlpha(UNITS, 'ordinal');
		expect(found?.low).toBeLessThan(0.815);
		expect(found?.high).toBeGreaterThan(0.815);
		expect(
			krippendorffAlpha(
				[
					[1, 1],
					[2, 3]
				],
				'ordinal'
			)
		).toMatchObject({ low: null, high: null, n: 2 });
	});
	it('is 1 where all agree, and undefined where nothing differs or is shared', () => {
		expect(
			krippendorffAlpha(
				[
					[0, 0, 0],
					[3, 3],
					[1, 1]
				],
				'ordinal'
			)?.alpha
		).toBe(1);
		expect(
			krippendorffAlpha(
				[
					[2, 2],
					[2, 2]
				],
				'ordinal'
			)
		).toBeNull();
		expect(krippendorffAlpha([[1], [2]], 'ordinal')).toBeNull();
		expect(krippendorffAlpha([], 'interval')).toBeNull();
	});
	it('does not mind who is who, nor in which order things came', () => {
		const units = fc.array(fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 2, maxLength: 4 }), { minLength: 2, maxLength: 8 });
		fc.assert(
			fc.property(units, (given) => {
				const plain = krippendorffAlpha(given, 'ordinal')?.alpha ?? null;
				const turned = krippendorffAlpha(given.map((u) => [...u].reverse()).reverse(), 'ordinal')?.alpha ?? null;
				if (plain === null) expect(turned).toBeNull();
				else expect(turned).toBeCloseTo(plain, 10);
				expect(plain ?? 0).toBeLessThanOrEqual(1 + 1e-12);
			})
		);
	});
	it('by size does not mind another unit or another zero', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 50 }), fc.integer({ min: -20, max: 20 }), (scale, shift) => {
				const moved = UNITS.map((u) => u.map((v) => v * scale + shift));
				expect(krippendorffAlpha(moved, 'interval')?.alpha).toBeCloseTo(0.8491, 3);
			})
		);
	});
});
