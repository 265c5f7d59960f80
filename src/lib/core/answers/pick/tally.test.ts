import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Tally } from './tally';

describe('ranges of values from 0 to 1', () => {
	it('are those of sorting, to a tenth of a point of 100', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 300 }), (values) => {
				const tally = new Tally();
				// In two blocks.
				tally.keep('x', Float64Array.from(values.slice(0, 100)));
				tally.keep('x', Float64Array.from(values.slice(100)));
				const [exact, binned] = [tally.range('x'), tally.rangeOfValues('x')];
				expect(Math.abs((exact?.low ?? 9) - (binned?.low ?? -9))).toBeLessThanOrEqual(0.000501);
				expect(Math.abs((exact?.high ?? 9) - (binned?.high ?? -9))).toBeLessThanOrEqual(0.000501);
			})
		);
	});
	it('of what was kept without bounds are those of sorting, exactly', () => {
		const values = fc.array(fc.oneof(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.constantFrom(0, 20, 20)), {
			minLength: 1,
			maxLength: 300
		});
		fc.assert(
			fc.property(values, (of) => {
				const tally = new Tally();
				tally.keep('cost', Float64Array.from(of));
				const sorted = Float64Array.from(of).sort();
				const at = (p: number) => sorted[Math.floor(p * sorted.length)];
				expect(tally.range('cost')).toEqual({ low: at(0.025), high: at(0.975) });
			})
		);
	});
	it('of nothing are none', () => expect([new Tally().range('x'), new Tally().rangeOfValues('x')]).toEqual([null, null]));
	it('what is kept for a range stops at 20,000 draws', () => {
		const tally = new Tally();
		for (let i = 0; i < 30; i++) tally.keepForRange('x', new Float64Array(1000));
		expect(tally.all('x')).toHaveLength(20_000);
	});
	it('goes by the first 20,000 of more, also where the bound cuts a block in two', () => {
		const tally = new Tally();
		tally.keep('x', new Float64Array(15_000).fill(1));
		tally.keep(
			'x',
			Float64Array.from({ length: 10_000 }, (_, i) => (i < 5000 ? 2 : 3))
		);
		const first = tally.all('x', 20_000);
		expect([first.length, first[14_999], first[15_000], first[19_999]]).toEqual([20_000, 1, 2, 2]);
		expect(tally.all('x').at(-1)).toBe(3);
		expect(tally.range('x')).toEqual({ low: 1, high: 2 });
	});
	it('keeps nothing of what it was never told', () => expect([new Tally().blocks('x'), [...new Tally().all('x')]]).toEqual([[], []]));
});

describe('means', () => {
	it('weigh each part by its draws', () => {
		const tally = new Tally();
		tally.add('worth', 0.5, 100);
		tally.add('worth', 0.8, 50);
		tally.add('score', 0.1, 1);
		expect(tally.mean('worth')).toBeCloseTo(0.6, 12);
		expect([tally.mean('score'), tally.mean('cost')]).toEqual([0.1, null]);
	});
});
