import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { attempt, evidence, basis, quote } from '../../../../../tests/support/evidence';
import type { Finding } from '../../judging/finding/types';
import { costOfGoodPrints } from './cost-of-good-prints';
import { pricePerKgOf } from './price-per-kg';
import { costPerGoodKg } from './quantities';
import { costReference } from './reference';
import { costStation } from './station';
import { wasteFactor } from './waste-factor';

const find = (given: Parameters<typeof evidence>[0]) => costStation.find(evidence(given), basis) as [Finding, Finding];
const failed = (percentReached: number) => attempt({ outcome: 'failed', cause: 'filament', percentReached });

describe('a trial’s currency', () => {
	const inEuro = { ...basis, currency: 'EUR' };
	const price = (quotes: ReturnType<typeof quote>[]) => costStation.find(evidence({ quotes }), inEuro)[0];
	it('a price in another one is no price here: nothing is converted, and it is said', () => {
		expect(price([quote({ currency: 'SEK' })])).toMatchObject({
			estimate: null,
			sampling: { reason: { id: 'otherCurrency', params: { currency: 'SEK', wanted: 'EUR' } } },
			missing: [{ action: 'addPrice', params: { currency: 'EUR' } }]
		});
	});
	it('of several, the first in the trial’s currency counts; outside a trial any does', () => {
		expect(price([quote({ currency: 'SEK', priceMinor: 25_000 }), quote({ priceMinor: 2100 })])?.estimate).toBe(21);
		expect(costStation.find(evidence({ quotes: [quote({ currency: 'SEK', priceMinor: 25_000 })] }), basis)[0]?.estimate).toBe(250);
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
		expect(() => wasteFactor(-0.1, 0.5)).toThrow(RangeError);
		expect(() => wasteFactor(0.1, -0.1)).toThrow(RangeError);
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
	it('charges the waste of failures, by what is known of such prints: the middle of its distribution is shown, drawn and ranked', () => {
		const [price, good] = find({ quotes: [quote()], attempts: [attempt(), attempt(), attempt(), failed(50)] });
		expect(price.estimate).toBe(20);
		// Three finished and one failed, with the 3.6 and 0.4 that are assumed before.
		const by = costOfGoodPrints(20, { finished: 6.6, failed: 1.4 }, [0.5]);
		expect(good).toMatchObject({ estimate: by.estimate, interval: { low: by.low, high: by.high, kind: 'credible' }, n: 4 });
		expect(good.sampling).toMatchObject({ kind: 'quantiles' });
		const middle = good.sampling.kind === 'quantiles' ? good.sampling.values[good.sampling.probabilities.indexOf(0.5)] : null;
		expect(middle).toBe(good.estimate);
		expect(good.messages[0]).toMatchObject({ id: 'costFormula', params: { perKg: 20, failed: 1, n: 4 } });
	});
	it('not printed here: the failures of such prints, and it is said', () => {
		const [, good] = find({ quotes: [quote()] });
		expect(good).toMatchObject({
			n: 0,
			messages: [
				{ id: 'noPrintsForCost', params: { perKg: 20, cells: 0 } },
				{ id: 'wasteAssumed', params: { cells: 0 } },
				{ id: 'quoteUsed' }
			]
		});
		expect(good.estimate).toBe(costOfGoodPrints(20, { finished: 3.6, failed: 0.4 }, []).estimate);
		const taught = { id: 's', number: 2, marks: [], success: [{ kind: null, material: 'PETG', cells: 9, finished: 2, failed: 2 }] };
		const [, half] = costStation.find(evidence({ quotes: [quote()] }), { ...basis, priors: taught }) as [Finding, Finding];
		expect(half).toMatchObject({ priorSet: 2, messages: [{ params: { cells: 9 } }, {}, {}] });
		expect(half.estimate).toBe(costOfGoodPrints(20, { finished: 2, failed: 2 }, []).estimate);
	});
	it('wastes what the record says that failures waste, and says by how many spools that is known', () => {
		const early = { wasted: 0.5, spared: 4.5 };
		const priors = { id: 's', number: 2, marks: [], success: [], waste: { ...early, cells: 7 } };
		const [, good] = costStation.find(evidence({ quotes: [quote()] }), { ...basis, priors }) as [Finding, Finding];
		expect(good.estimate).toBe(costOfGoodPrints(20, { finished: 3.6, failed: 0.4 }, [], early).estimate);
		expect(good.messages[1]).toEqual({ id: 'wasteAssumed', params: { cells: 7 } });
	});
	it('tried and never finished: no cost at all, priced or not', () => {
		const attempts = [failed(20), failed(30)];
		for (const quotes of [[quote()], []])
			expect(find({ quotes, attempts })[1]).toMatchObject({
				estimate: null,
				n: 2,
				grade: 'thin',
				interval: null,
				sampling: { kind: 'never', reason: { id: 'neverPrinted', params: { n: 2 } } },
				word: { id: 'noGoodPrint' }
			});
	});
	it('names the assumed waste while no failure was seen', () => {
		expect(find({ quotes: [quote()], attempts: [attempt()] })[1].messages.map((m) => m.id)).toContain('wasteAssumed');
	});
	it('says whose price it is, seen when, by which quote, and what it is made of', () => {
		const seen = quote({ id: 'q1', priceMinor: 3980, shippingMinor: 490, quantity: 2, seenAt: 77 });
		const [price, good] = find({ spool: { id: 's9', revision: 4, obtained: 'suppliedFree' }, quotes: [seen], attempts: [attempt()] });
		for (const found of [price, good])
			expect(found).toMatchObject({
				subject: { spoolId: 's9', condition: null, pieceId: null },
				context: { from: 77, to: 77 },
				inputs: { used: ['q1'], excluded: [], revision: 4 }
			});
		expect(price).toMatchObject({ n: 1, sampling: { kind: 'exact', value: 22.35 }, figure: { kind: 'bar', base: 22.35 } });
		expect(price.messages).toEqual([
			{ id: 'quoteUsed', params: { price: 39.8, shipping: 4.9, currency: 'EUR', quantity: 2, netMassG: 1000, kind: 'list' } },
			{ id: 'suppliedFree', params: {} }
		]);
		expect(good.figure).toEqual({ kind: 'bar', base: 22.35 });
		expect(find({ quotes: [quote()] })[0].messages.map((m) => m.id)).toEqual(['quoteUsed']);
	});
	it('without a price has none of that', () => {
		const [price] = find({});
		expect(price).toMatchObject({ context: { currencies: [], priceKinds: [], from: null, to: null }, inputs: { used: [], excluded: [] } });
		expect(price.missing).toMatchObject([{ params: { currency: null } }]);
	});
	it('asks for a print where none was made, and only for the price as what is to do next', () => {
		const priced = find({ quotes: [quote()] });
		expect(priced[1].missing).toMatchObject([{ action: 'printPiece' }]);
		expect(find({ quotes: [quote()], attempts: [attempt()] })[1].missing).toEqual([]);
		expect(costStation.next(priced, basis)).toEqual([]);
		expect(costStation.next(find({}), basis).map((m) => m.action)).toEqual(['addPrice']);
	});
	it('tells what was tried and never finished, with its price if there is one', () => {
		const attempts = [failed(20), failed(30)];
		const [, priced] = find({ quotes: [quote()], attempts });
		expect(priced.messages.map((m) => m.id)).toEqual(['neverPrinted', 'quoteUsed']);
		expect(priced.figure).toEqual({ kind: 'bar', base: 20 });
		const [, bare] = find({ attempts });
		expect([bare.messages, bare.figure]).toEqual([[{ id: 'neverPrinted', params: { n: 2 } }], { kind: 'bar', base: null }]);
	});
	it('tells the share that fails in per cent, and no assumed waste once one failed', () => {
		const [, good] = find({ quotes: [quote()], attempts: [attempt(), attempt(), attempt(), failed(50)] });
		const said = good.messages[0]?.params as { failurePct: number };
		// The middle of beta(1.4, 6.6) lies below its mean of 17.5 %.
		expect(said.failurePct).toBeGreaterThan(12);
		expect(said.failurePct).toBeLessThan(17.5);
		expect(good.messages.map((m) => m.id)).toEqual(['costFormula', 'quoteUsed']);
	});
	it('says of what kind its price is', () => {
		expect(find({ quotes: [quote({ kind: 'sale' })] })[1].context).toMatchObject({ priceKinds: ['sale'], currencies: ['EUR'] });
	});
});

describe('the price that others are weighed against', () => {
	const priced = (...minor: number[]) => minor.map((priceMinor) => evidence({ quotes: [quote({ priceMinor })] }));
	const inEuro = { currency: 'EUR' };
	it('is the house spool’s, else the middle one of the candidates', () => {
		const candidates = priced(1500, 2000, 4000);
		expect(costReference(candidates, null, inEuro)).toBe(20);
		expect(costReference(candidates, priced(1800)[0] ?? null, inEuro)).toBe(18);
		expect(costReference(candidates, evidence(), inEuro)).toBe(20);
	});
	it('leaves out what is not priced in the trial’s currency, and is null where nothing is', () => {
		const foreign = evidence({ quotes: [quote({ priceMinor: 25_000, currency: 'SEK' })] });
		expect(costReference([foreign, ...priced(2100)], foreign, inEuro)).toBe(21);
		expect(costReference([foreign], null, inEuro)).toBeNull();
	});
	it('is the middle of the scale: half and double are its ends, in any currency', () => {
		expect(costPerGoodKg({ costReference: 230 })).toMatchObject({
			scale: { low: 115, high: 460 },
			spacing: 'ratio',
			differenceThatMatters: 23
		});
		expect(costStation.quantities({ ...basis, costReference: 230 })[0]?.scale).toEqual({ low: 115, high: 460 });
	});
});
