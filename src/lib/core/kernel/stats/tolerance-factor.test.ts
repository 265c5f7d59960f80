import { describe, expect, it } from 'vitest';
import { howeFactor, toleranceFactor } from './tolerance-factor';

describe('two-sided normal tolerance factor, 95 % of the population with 95 % confidence', () => {
	// ISO 16269-6 and the NIST/SEMATECH e-Handbook, 7.2.6.3, by numerical integration; agrees with R and scipy.
	it.each([
		[10, 3.393, 3.382],
		[30, 2.555, 2.55],
		[100, 2.234, 2.233]
	])('n = %i: exact %f, Howe %f', (n, exact, howe) => {
		expect(toleranceFactor(n)).toBeCloseTo(exact, 3);
		expect(Math.abs(howeFactor(n) - howe)).toBeLessThan(6e-4);
	});
	it('falls towards the normal 1.96 and never below it', () => {
		const factors = [2, 3, 5, 20, 200, 2000].map((n) => toleranceFactor(n));
		expect(factors).toEqual([...factors].sort((a, b) => b - a));
		expect(factors.at(-1)).toBeGreaterThan(1.96);
	});
	it('refuses one value and impossible shares', () => {
		expect(() => toleranceFactor(1)).toThrow(RangeError);
		expect(() => toleranceFactor(10, 1)).toThrow(RangeError);
		expect(() => toleranceFactor(10, 0.95, 0)).toThrow(RangeError);
	});
});
