import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { convert, toCanonical } from './convert';
import { unitOf } from './dimension';
import { readMoneyText } from './money';
import { readNumberText } from './number-text';
import { readQuantityText } from './quantity-text';

describe('conversion', () => {
	it('matches the exact definitions of SI/BIPM', () => {
		expect(convert(1, 'lb', 'kg')).toBeCloseTo(0.45359237, 12);
		expect(convert(1, 'kgf', 'N')).toBeCloseTo(9.80665, 12);
		expect(convert(1, 'in', 'mm')).toBeCloseTo(25.4, 12);
		// 25 lb hangs with 111.2 N (reference: 25 x 0.45359237 x 9.80665).
		expect(convert(25, 'lbf', 'N')).toBeCloseTo(111.2055, 3);
		expect(convert(212, 'F', 'C')).toBeCloseTo(100, 9);
	});

	it('leaves no binary dust on canonical values', () => {
		expect(toCanonical(1.1, 'kg', 'mass')).toBe(1100);
		expect(toCanonical(1750, 'um', 'length')).toBe(1.75);
	});

	it('goes there and back for every mass unit', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.001, max: 1e5, noNaN: true }), fc.constantFrom('g', 'kg', 'lb', 'oz'), (value, unit) => {
				expect(convert(convert(value, unit, 'g'), 'g', unit) / value).toBeCloseTo(1, 9);
			})
		);
	});
});

describe('reading what was typed', () => {
	it.each([
		['1.76', 1.76, 2],
		['1,76', 1.76, 2],
		[' 212 ', 212, 0],
		['-3.5', -3.5, 1],
		['.5', 0.5, 1]
	])('%s is %f with %i decimals', (text, value, decimals) => {
		expect(readNumberText(text)).toMatchObject({ ok: true, value, decimals });
	});

	it.each([
		['', 'empty'],
		['abc', 'notANumber'],
		['1.2.3', 'ambiguous'],
		['1.234,5', 'ambiguous'],
		['1e5', 'notANumber'],
		['-', 'notANumber']
	])('%s is refused as %s', (text, reason) => {
		expect(readNumberText(text)).toEqual({ ok: false, reason });
	});

	it('reads a point and a comma alike, whatever the number', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 99999 }), fc.integer({ min: 0, max: 999 }), (whole, part) => {
				const fraction = String(part).padStart(3, '0');
				expect(readNumberText(`${whole},${fraction}`)).toEqual(readNumberText(`${whole}.${fraction}`));
			})
		);
	});

	it('keeps text and unit as typed and computes in the canonical unit', () => {
		expect(readQuantityText('2,5 lb', 'mass')).toMatchObject({ ok: true, value: 1133.980925, typedText: '2,5 lb', typedUnit: 'lb' });
		expect(readQuantityText('1.76', 'length')).toMatchObject({ ok: true, value: 1.76, typedUnit: 'mm', resolution: 0.01 });
		expect(readQuantityText('410 F', 'temperature')).toMatchObject({ ok: true, value: 210 });
	});

	it('reads pounds and ounces as a kitchen scale shows them', () => {
		// 2 lb 12 oz = 44 oz of 28.349523125 g.
		for (const typed of ['2 lb 12 oz', '2lb 12oz', '2 lbs, 12 ounces'])
			expect(readQuantityText(typed, 'mass')).toEqual({
				ok: true,
				value: 1247.3790175,
				typedText: typed,
				typedUnit: 'lb',
				resolution: 28.349523125
			});
		expect(readQuantityText('1 lb 0.5 oz', 'load')).toMatchObject({ ok: true, value: expect.closeTo(4.58723, 5) as number });
		for (const typed of ['2 lb 16 oz', '2.5 lb 3 oz', '2 lb 12 g']) expect(readQuantityText(typed, 'mass')).toMatchObject({ ok: false });
		expect(readQuantityText('2 lb 12 oz', 'length')).toMatchObject({ ok: false });
	});
	it('names the allowed units when it does not know one', () => {
		expect(readQuantityText('3 stone', 'mass')).toEqual({ ok: false, reason: 'unknownUnit', allowed: ['g', 'kg', 'lb', 'oz'] });
		expect(unitOf('Kilos', 'mass')).toBe('kg');
		expect(unitOf('mm', 'mass')).toBeNull();
	});

	it.each([
		['1,234.50', 123450],
		['1.234,50', 123450],
		["1'234.50 CHF", 123450],
		['1 234,5', 123450],
		['€ 12 345', 1234500],
		['1,234,567', 123456700],
		['1.234.567,89', 123456789]
	])('reads %s with its thousands marked', (text, minor) => expect(readMoneyText(text)).toEqual({ ok: true, minor }));
	it.each(['1,234', '1.234', '12,34,567.00', '1,234.567', '1.234.56', '1,23.50', '1,234 567', '1,2345.60'])(
		'refuses %s, which may be read in two ways or is no price',
		(text) => expect(readMoneyText(text).ok).toBe(false)
	);
	it('reads every amount as three languages write it', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 2_000_000_000 }), fc.constantFrom('en-US', 'de-DE', 'fr-FR'), (minor, locale) => {
				const text = new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(minor / 100);
				expect(readMoneyText(text), text).toEqual({ ok: true, minor });
			})
		);
	});
	it('reads prices into minor units and refuses a third decimal', () => {
		expect(readMoneyText('21,90')).toEqual({ ok: true, minor: 2190 });
		expect(readMoneyText('€ 21.9')).toEqual({ ok: true, minor: 2190 });
		expect(readMoneyText('19.999')).toEqual({ ok: false, reason: 'tooManyDecimals' });
		expect(readMoneyText('cheap')).toEqual({ ok: false, reason: 'notANumber' });
	});
});
