import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { upTo } from './numbers';
import { localeFrom } from './locale';
import {
	bareLength,
	bareMass,
	bareTemperature,
	bareTolerance,
	chosenUnit,
	inMassUnit,
	labelMassWords,
	lengthUnit,
	lengthWords,
	massTolerance,
	massUnit,
	massWords,
	temperatureWords,
	toleranceWords,
	UNIT_CHOICES,
	unitsFrom,
	unitsOf,
	unitsText,
	type ChosenUnits
} from './units';

afterEach(() => {
	unitsFrom(() => undefined);
	localeFrom(() => null);
});
const choose = (units: ChosenUnits) => unitsFrom(() => units);

describe('results in the tester’s units', () => {
	it('nothing chosen: millimetres, grams, degrees Celsius', () => {
		expect([lengthWords(1.7421), bareLength(1.7421, 2), toleranceWords(0.05), lengthUnit(), lengthWords(0.0004, 4)]).toEqual([
			'1.742 mm',
			'1.74',
			'±0.05 mm',
			'mm',
			'0.0004 mm'
		]);
		expect([massWords(995.8, 1), massWords(1240, 1, upTo), bareMass(-2.24, 1), massUnit(), temperatureWords(65)]).toEqual([
			'995.8 g',
			'1240 g',
			'−2.2',
			'g',
			'65 °C'
		]);
	});

	it('inches show the same digits, tolerances a ten-thousandth', () => {
		choose({ length: 'in' });
		// 25.4 mm are an inch by definition: 1.7421 / 25.4 = 0.068587.
		expect([lengthWords(1.7421), lengthWords(0.0123, 4), bareLength(1.75, 2), bareTolerance(0.02), toleranceWords(0.05)]).toEqual([
			'0.06859 in',
			'0.00048 in',
			'0.0689',
			'±0.0008',
			'±0.002 in'
		]);
		expect([massWords(998, 0), temperatureWords(65)]).toEqual(['998 g', '65 °C']);
	});

	it('what is fine is never told as nothing', () => {
		choose({ length: 'in', mass: 'oz' });
		// 0.001 mm are 0.0000394 in, 0.001 g are 0.0000353 oz.
		expect([toleranceWords(0.001), toleranceWords(0.004), massTolerance(0.001), massTolerance(0.1)]).toEqual([
			'±0.00004 in',
			'±0.00016 in',
			'±0.00004 oz',
			'±0.00353 oz'
		]);
		choose({});
		expect([toleranceWords(0.001), massTolerance(0.001), massTolerance(0.1)]).toEqual(['±0.001 mm', '±0.001 g', '±0.1 g']);
	});

	it('ounces, and pounds with ounces from one pound on', () => {
		choose({ mass: 'oz' });
		// 28.349523125 g are an ounce by definition.
		expect([massWords(995.8, 1), bareMass(2.2, 1), massUnit(), inMassUnit(28.349523125)]).toEqual(['35.13 oz', '0.08', 'oz', 1]);
		choose({ mass: 'lb' });
		expect([massWords(995.8, 1), massWords(-995.8, 1), massWords(2.2, 1), massWords(230, 0)]).toEqual([
			'2 lb 3.13 oz',
			'−2 lb 3.13 oz',
			'0.08 oz',
			'8.1 oz'
		]);
		// Just under three pounds is rounded before it is parted: never "2 lb 16 oz".
		expect([massWords(1360.777, 0), massWords(1360.777, 0, upTo), massWords(453.59237, 0, upTo)]).toEqual([
			'3 lb 0.0 oz',
			'3 lb 0 oz',
			'1 lb 0 oz'
		]);
	});

	it('kilograms from one on; what is less stays in grams', () => {
		choose({ mass: 'kg' });
		expect([massWords(1240, 1), massWords(1240, 1, upTo), massWords(995.8, 1), massWords(2.2, 1), bareMass(1240, 1)]).toEqual([
			'1.2400 kg',
			'1.24 kg',
			'995.8 g',
			'2.2 g',
			'1240.0'
		]);
	});

	it('what the label states, in the unit labels are typed in', () => {
		const told = () => [labelMassWords(1000), labelMassWords(748.427411)];
		expect(told()).toEqual(['1000 g', '748 g']);
		choose({ 'label-mass': 'lb', mass: 'oz' });
		expect(told()).toEqual(['2.2 lb', '1.65 lb']);
		choose({ 'label-mass': 'kg' });
		expect(told()).toEqual(['1 kg', '0.748 kg']);
	});

	it('degrees Fahrenheit, with the locale’s mark', () => {
		choose({ temperature: 'F', length: 'in' });
		localeFrom(() => 'de-DE');
		expect([temperatureWords(65), bareTemperature(50), temperatureWords(52.5, 1), lengthWords(1.75)]).toEqual([
			'149 °F',
			'122',
			'126,5 °F',
			'0,06890 in'
		]);
	});
});

describe('the choices in a cookie', () => {
	it('come back as they were made; what is not known is left out', () => {
		const anyUnits = fc.record(Object.fromEntries(Object.entries(UNIT_CHOICES).map(([of, units]) => [of, fc.constantFrom(...units)])), {
			requiredKeys: []
		});
		fc.assert(
			fc.property(anyUnits, (units) => {
				choose(unitsOf(unitsText(units)));
				for (const of of Object.keys(UNIT_CHOICES) as (keyof typeof UNIT_CHOICES)[])
					expect(chosenUnit(of)).toBe((units as ChosenUnits)[of] ?? UNIT_CHOICES[of][0]);
			})
		);
		expect(unitsText({ length: 'in', mass: 'g', 'label-mass': 'lb' })).toBe('length-in.label-mass-lb');
		expect(unitsOf('mass-stone.length-in.colour-red.temperature-F')).toEqual({ length: 'in', temperature: 'F' });
		expect([unitsOf(undefined), unitsOf('')]).toEqual([{}, {}]);
	});
});
