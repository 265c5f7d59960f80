import { describe, expect, it } from 'vitest';
import { readQuote } from './read-quote';

const read = (given: Partial<Parameters<typeof readQuote>[0]>) => readQuote({ quantity: 1, ...given });
const codes = (given: Parameters<typeof read>[0]) => read(given).errors.map((e) => `${e.path} ${e.code}`);

describe('a price as typed', () => {
	it('takes comma and point, shipping and any unit of mass', () => {
		expect(read({ price: '21,90', shipping: '3.9', netMass: '0.75 kg' }).numbers).toEqual({
			priceMinor: 2190,
			shippingMinor: 390,
			netMassG: 750
		});
		expect(read({ price: '20', netMass: '2.2 lb' }).numbers?.netMassG).toBeCloseTo(997.9, 1);
	});
	it('a net mass may come without a price, a price not without a net mass', () => {
		expect(read({ netMass: '1 kg' })).toMatchObject({ numbers: null, netMassG: 1000, errors: [] });
		expect(codes({ price: '20' })).toEqual(['netMass netMassMissing']);
	});
	it('asks when the unit seems left out', () => {
		expect(read({ price: '20', netMass: '0.75' }).errors[0]).toMatchObject({
			code: 'netMassSlip',
			params: { grams: 0.75 },
			suggestion: '0.75 kg'
		});
	});
	it.each([
		[{ price: '0', netMass: '1 kg' }, 'price notPositive'],
		[{ price: '-5', netMass: '1 kg' }, 'price notPositive'],
		[{ price: '19.999', netMass: '1 kg' }, 'price tooManyDecimals'],
		[{ price: '4915551234567', netMass: '1 kg' }, 'price priceOutOfRange'],
		[{ price: '20', shipping: '-1', netMass: '1 kg' }, 'shipping negative'],
		[{ price: '20', netMass: '900 kg' }, 'netMass netMassOutOfRange']
	])('refuses %j', (given, expected) => expect(codes(given)).toEqual([expected]));
});
