import { describe, expect, it } from 'vitest';
import { costOfGoodPrints } from './cost-of-good-prints';

describe('what a good kilogram costs', () => {
	it('with nothing failed and many printed: the price, and hardly more', () => {
		const found = costOfGoodPrints(20, { finished: 400, failed: 0.4 }, []);
		expect(found.estimate).toBeCloseTo(20, 1);
		expect(found.low).toBeGreaterThanOrEqual(20);
	});
	it('its middle and range by a million independent draws (numpy 2.4.6: 20.075, 21.599 and 31.528)', () => {
		// numpy.random.default_rng(1): f = beta(1.4, 6.6), w = beta(1.6, 1.4), 20 * (1 + w * f / (1 - f)).
		const found = costOfGoodPrints(20, { finished: 6.6, failed: 1.4 }, [0.6]);
		expect(found.low).toBeCloseTo(20.075, 1);
		expect(found.estimate).toBeCloseTo(21.599, 1);
		expect(found.high / 31.528).toBeCloseTo(1, 1);
	});
	it('goes with the price, whatever the currency', () => {
		const [euros, crowns] = [20, 230].map((price) => costOfGoodPrints(price, { finished: 5, failed: 1 }, [0.5]));
		expect((crowns?.estimate ?? 0) / (euros?.estimate ?? 1)).toBeCloseTo(11.5, 9);
		expect((crowns?.high ?? 0) / (euros?.high ?? 1)).toBeCloseTo(11.5, 9);
	});
	it('failures late in a print cost more than early ones', () => {
		const late = costOfGoodPrints(20, { finished: 5, failed: 2 }, [0.9, 0.95]);
		const early = costOfGoodPrints(20, { finished: 5, failed: 2 }, [0.05, 0.1]);
		expect(late.estimate).toBeGreaterThan(early.estimate);
	});
});
