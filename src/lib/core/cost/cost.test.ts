import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { attempt, evidence, basis, quote } from '../../../../tests/support/evidence';
import type { Finding } from '../finding/types';
import { pricePerKgOf } from './price-per-kg';
import { costStation } from './station';
import { wasteFactor } from './waste-factor';

const find = (given: Parameters<typeof evidence>[0]) => costStation.find(evidence(given), basis, 0) as [Finding, Finding];
const failed = (percentReached: number) => attempt({ outcome: 'failed', cause: 'filament', percentReached });

describe('a trial’s currency', () => {
	const inEuro = { ...basis, currency: 'EUR' };
	const price = (quotes: ReturnType<typeof quote>[]) => costStation.find(evidence({ quotes }), inEuro, 0)[0];
	it('a price in another one is no price here: nothing is converted, and it is said', () => {
		expect(price([quote({ currency: 'SEK' })])).toMatchObject({
			estimate: null,
			sampling: { reason: { id: 'otherCurrency', params: { currency: 'SEK', wanted: 'EUR' } } },
			missing: [{ action: 'addPrice', params: { currency: 'EUR' } }]
		});
	});
	it('of several, the first in the trial’s currency counts; outside a trial any does', () => {
		expect(price([quote({ currency: 'SEK', priceMinor: 25_000 }), quote({ priceMinor: 2100 })])?.estimate).toBe(21);
		expect(costStation.find(evidence({ quotes: [quote({ currency: 'SEK', priceMinor: 25_000 })] }), basis, 0)[0]?.estimate).toBe(250);
	});
});

describe('price per kilogram', () => {
	it('takes shipping and quantity in (arithmetic)', () => {
		expect(pricePerKgOf({ priceMinor: 3980, shippingMinor: 490, quantity: 2, netMassG: 1000 })).toBeCloseTo(22.35, 12);
		expect(pricePerKgOf({ priceMinor: 1200, shippingMinor: 0, quantity: 1, netMassG: 250 })).toBe(48);
	});
	it('refuses nothing for something', () => {
		expect(() => pricePerKgOf({ priceMinor: 1, shippingMinor: 0, quantity: 0, netMassG: 1000 })).toThrow(RangeError);
		expect(() => pricePerKgOf({ priceMinor: 1, shippingMinor: 0, quantity: 1, netMassG: 0 })).toThrow(RangeError);
	});
});

describe('waste of failed prints: 1 + w f / (1 - f)', () => {
	it('agrees with prints repeated until they succeed', () => {
		// Expected filament by summing the geometric series: sum over k failures of (1-f) f^k (1 + k w).
		const f = 0.3;
		const w = 0.6;
		let series = 0;
		for (let k = 0; k < 200; k++) series += (1 - f) * f ** k * (1 + k * w);
		expect(wasteFactor(f, w)).toBeCloseTo(series, 12);
	});
	it('is one without failures, grows with both, refuses certainty of failure', () => {
		expect(wasteFactor(0, 1)).toBe(1);
		expect(() => wasteFactor(1, 0.5)).toThrow(RangeError);
		expect(() => wasteFactor(0.1, 1.1)).toThrow(RangeError);
		fc.assert(
			fc.property(fc.double({ min: 0, max: 0.9, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (f, w) => {
				expect(wasteFactor(f + 0.05, w)).toBeGreaterThanOrEqual(wasteFactor(f, w));
			})
		);
	});
});

describe('station', () => {
	it('asks for a price and invents none', () => {
		const [price, good] = find({});
		expect(price).toMatchObject({ estimate: null, grade: 'none', missing: [expect.objectContaining({ action: 'addPrice' })] });
		expect(good.sampling).toMatchObject({ kind: 'unknown', reason: { id: 'noPrice' } });
	});
	it('does not ask for a price that is hidden', () => {
		const [price] = find({ pricesHidden: true });
		expect(price.missing).toEqual([]);
		expect(price.sampling).toMatchObject({ reason: { id: 'priceHidden' } });
	});
	it('charges the waste of failures with an interval', () => {
		const [price, good] = find({ quotes: [quote()], attempts: [attempt(), attempt(), attempt(), failed(50)] });
		expect(price.estimate).toBe(20);
		// f = 1/4, w = 1/2: 20 x (1 + 0.5 / 3), arithmetic.
		expect(good.estimate).toBeCloseTo(20 * (1 + 0.5 / 3), 9);
		expect(good.interval?.low).toBeLessThan(good.estimate as number);
		expect(good.interval?.high).toBeGreaterThan(good.estimate as number);
		expect(good.n).toBe(4);
	});
	it('says so when nothing was printed, and when nothing ever succeeded', () => {
		expect(find({ quotes: [quote()] })[1]).toMatchObject({
			estimate: null,
			n: 0,
			messages: [{ id: 'noPrintsForCost' }, { id: 'quoteUsed' }]
		});
		expect(find({ quotes: [quote()], attempts: [failed(20), failed(30)] })[1]).toMatchObject({ estimate: null, n: 2, grade: 'thin' });
	});
	it('names the assumed waste while no failure was seen', () => {
		expect(find({ quotes: [quote()], attempts: [attempt()] })[1].messages.map((m) => m.id)).toContain('wasteAssumed');
	});
});
