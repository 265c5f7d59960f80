import { describe, expect, it } from 'vitest';
import { convert, toCanonical } from './convert';
import { unitOf } from './dimension';
import { readMoneyText } from './money';
import { readNumberText } from './number-text';
import { readQuantityText } from './quantity-text';

// What feeds what between text, number, unit and value.

describe('forces and the masses that hang', () => {
	it('both ways, exactly', () => {
		expect(convert(9.80665, 'N', 'kgf')).toBeCloseTo(1, 12);
		expect(convert(10, 'N', 'lbf')).toBeCloseTo(10 / (0.45359237 * 9.80665), 9);
		expect(convert(2, 'lbf', 'kgf')).toBeCloseTo(2 * 0.45359237, 9);
		expect(convert(1.1, 'oz', 'oz')).toBe(1.1);
		expect(convert(-459.67, 'F', 'F')).toBe(-459.67);
	});
	it('a mass typed for a load is its weight; one typed for a mass is not', () => {
		expect(toCanonical(2, 'kg', 'load')).toBe(19.6133);
		expect(toCanonical(2, 'kg', 'mass')).toBe(2000);
		expect(toCanonical(2, 'N', 'load')).toBe(2);
		// The canonical unit is taken as it was typed, with every digit.
		expect(toCanonical(1.23456789012345, 'mm', 'length')).toBe(1.23456789012345);
		expect(toCanonical(1.23456789012345, 'um', 'length')).toBe(0.00123456789012);
	});
});

describe('the step of a typed quantity', () => {
	const stepOf = (...given: Parameters<typeof readQuantityText>) => {
		const read = readQuantityText(...given);
		return read.ok ? read.resolution : read.reason;
	};
	it('is that of its last digit, in the canonical unit', () => {
		expect(stepOf('1.76', 'length')).toBe(0.01);
		expect(stepOf('0.0689 in', 'length')).toBe(0.00254);
		expect(stepOf('2.50 lb', 'mass')).toBeCloseTo(4.5359237, 9);
	});
	it('of a temperature is a difference: it has no zero to be shifted by', () => {
		expect(stepOf('21', 'temperature')).toBe(1);
		expect(stepOf('21.5 C', 'temperature')).toBe(0.1);
		expect(stepOf('70 F', 'temperature')).toBeCloseTo(5 / 9, 12);
		expect(stepOf('70.5 F', 'temperature')).toBeCloseTo(0.5 / 9, 12);
	});
	it('a bare number takes the unit that is assumed, and the text is kept without its margins', () => {
		expect(readQuantityText('  2,5 ', 'mass', 'lb')).toMatchObject({ value: 1133.980925, typedText: '2,5', typedUnit: 'lb' });
		expect(readQuantityText('2,5 lb', 'length')).toEqual({ ok: false, reason: 'unknownUnit', allowed: ['mm', 'um', 'in'] });
		expect(readQuantityText('', 'length')).toMatchObject({ ok: false, reason: 'empty', allowed: ['mm', 'um', 'in'] });
	});
});

describe('unit words', () => {
	it('as people write them: spaces, one dot at the end, capitals; nothing else', () => {
		expect(unitOf(' lbs. ', 'mass')).toBe('lb');
		expect(unitOf('KG', 'mass')).toBe('kg');
		expect(unitOf('Newtons', 'force')).toBe('N');
		expect(unitOf('l.bs', 'mass')).toBeNull();
		expect(unitOf('°F', 'temperature')).toBe('F');
		expect(unitOf('F', 'temperature')).toBe('F');
		expect(unitOf('f', 'temperature')).toBe('F');
		expect(unitOf('N', 'load')).toBe('N');
	});
});

describe('numbers', () => {
	it('with what follows kept as it is, line breaks too', () => {
		expect(readNumberText('5 a\nb')).toEqual({ ok: true, value: 5, decimals: 0, rest: 'a\nb' });
		expect(readNumberText('mm 5')).toEqual({ ok: false, reason: 'notANumber' });
	});
	it('a power of ten is no unit; a unit that begins with e is', () => {
		for (const text of ['1e5', '1E+5', '1e-5', '1.5e3 g']) expect(readNumberText(text)).toEqual({ ok: false, reason: 'notANumber' });
		expect(readNumberText('1 ells')).toEqual({ ok: true, value: 1, decimals: 0, rest: 'ells' });
		expect(readNumberText('1 me5')).toEqual({ ok: true, value: 1, decimals: 0, rest: 'me5' });
	});
	it('larger than a number can be is none', () => {
		expect(readNumberText('9'.repeat(400))).toEqual({ ok: false, reason: 'notANumber' });
	});
});

describe('prices', () => {
	it('may carry the sign or the name of a currency, in any case, and no other word', () => {
		expect(readMoneyText('21,90 eur')).toEqual({ ok: true, minor: 2190 });
		expect(readMoneyText('€ 21.9')).toEqual({ ok: true, minor: 2190 });
		expect(readMoneyText('21.90 each')).toEqual({ ok: false, reason: 'notANumber' });
		expect(readMoneyText('21.905')).toEqual({ ok: false, reason: 'tooManyDecimals' });
	});
});
