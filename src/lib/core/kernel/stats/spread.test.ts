import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meanInterval } from './mean-interval';
import { spreadOf } from './spread';

/** A value, then two others in turn 500 times: the shape of the NIST sets. */
const inTurn = (first: number, a: number, b: number) => [first, ...Array.from({ length: 1000 }, (_, i) => (i % 2 ? b : a))];

describe('spread in one pass', () => {
	it('NIST StRD NumAcc1: mean 10000002, SD 1', () => {
		expect(spreadOf([10000001, 10000003, 10000002])).toMatchObject({ n: 3, mean: 10000002, sd: 1, low: 10000001, high: 10000003 });
	});
	it('NIST StRD NumAcc2: mean 1.2, SD 0.1 to thirteen digits', () => {
		const over = spreadOf(inTurn(1.2, 1.1, 1.3));
		expect(over?.mean).toBeCloseTo(1.2, 13);
		expect(over?.sd).toBeCloseTo(0.1, 13);
	});
	it('NIST StRD NumAcc4: mean 10000000.2 to thirteen digits, SD 0.1 to eight', () => {
		const over = spreadOf(inTurn(10000000.2, 10000000.1, 10000000.3));
		expect(((over?.mean ?? 0) - 10000000.2) / 10000000.2).toBeLessThan(1e-13);
		expect(over?.sd).toBeCloseTo(0.1, 8);
	});
	it('says nothing of nothing, and no spread of one', () => {
		expect(spreadOf([])).toBeNull();
		expect(spreadOf([1.75])).toMatchObject({ n: 1, sd: null });
		expect(spreadOf([1.75, 1.75])?.sd).toBe(0);
	});
	it('agrees with the two-pass mean and SD', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 1, max: 3, noNaN: true }), { minLength: 2, maxLength: 60 }), (values) => {
				const two = meanInterval(values);
				const one = spreadOf(Float64Array.from(values));
				expect(one?.mean).toBeCloseTo(two.mean as number, 11);
				expect(one?.sd).toBeCloseTo(two.sd as number, 9);
			})
		);
	});
});
