import { logGamma } from './distributions';
import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/statistics.json';
import { digamma } from './gamma';
import { holm } from './holm';
import { signTest } from './sign-test';

describe('sign test', () => {
	it.each(reference.signTests)('$better better, $worse worse: as scipy’s exact binomial test', ({ better, worse, p }) => {
		expect(signTest(better, worse).p).toBeCloseTo(p, 12);
	});
	it('five pairs cannot go under 0.0625, six can reach 0.03125 (arithmetic)', () => {
		expect(signTest(5, 0).p).toBe(0.0625);
		expect(signTest(6, 0).p).toBe(0.03125);
	});
	it('does not care which side is called better', () => expect(signTest(7, 2)).toEqual(signTest(2, 7)));
	it('says nothing of ties alone, and refuses what is no count', () => {
		expect(signTest(0, 0)).toEqual({ pairs: 0, p: null });
		expect(() => signTest(-1, 3)).toThrow(RangeError);
		expect(() => signTest(1.5, 3)).toThrow(RangeError);
	});
});

describe('Holm’s correction', () => {
	it('by hand: the least times five, the next times four, none below the one before', () => {
		const found = holm([0.01, 0.02, 0.03, 0.04, 0.05]);
		[0.05, 0.08, 0.09, 0.09, 0.09].forEach((p, i) => expect(found[i]).toBeCloseTo(p, 12));
	});
	it('keeps the order given, never falls and never passes one', () => {
		expect(holm([0.6, 0.7, 0.001])).toEqual([1, 1, 0.003]);
		expect(holm([])).toEqual([]);
	});
});

describe('gamma functions', () => {
	it.each(reference.digammas)('at $x as scipy', ({ x, y, lnGamma }) => {
		expect(digamma(x)).toBeCloseTo(y, 9);
		expect(logGamma(x)).toBeCloseTo(lnGamma, 9);
	});
});
