import { logGamma } from './distributions';
import { describe, expect, it } from 'vitest';
import reference from '../../../../tests/reference/statistics.json';
import { digamma } from './gamma';
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

describe('gamma functions', () => {
	it.each(reference.digammas)('at $x as scipy', ({ x, y, lnGamma }) => {
		expect(digamma(x)).toBeCloseTo(y, 9);
		expect(logGamma(x)).toBeCloseTo(lnGamma, 9);
	});
});
