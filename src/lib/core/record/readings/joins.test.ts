import { describe, expect, it } from 'vitest';
import { readReading } from '../../joins/read-reading';

// What feeds what between a quantity's declaration and what was typed for it.

describe('the limits of a quantity', () => {
	it('are believable themselves; beyond them is out of range, and the units that would do are named', () => {
		expect(readReading('diameter', '0.5')).toMatchObject({ ok: true, value: 0.5 });
		expect(readReading('diameter', '5')).toMatchObject({ ok: true, value: 5 });
		expect(readReading('diameter', '5.01')).toEqual({ ok: false, reason: 'outOfRange', allowed: ['mm', 'um', 'in'] });
		expect(readReading('diameter', '0.49')).toMatchObject({ ok: false, reason: 'outOfRange' });
	});
	it('where zero is a value, zero is taken; where it is none, it is no value', () => {
		expect(readReading('pressureAdvance', '0')).toMatchObject({ ok: true, value: 0 });
		expect(readReading('grossMass', '0 g')).toEqual({ ok: false, reason: 'notPositive', allowed: ['g', 'kg', 'lb', 'oz'] });
		expect(readReading('pressureAdvance', '-0.1')).toMatchObject({ ok: false, reason: 'outOfRange' });
	});
	it('counts are whole', () => expect(readReading('blowsBroke', '2.5')).toEqual({ ok: false, reason: 'notWhole', allowed: [] }));
	it('a quantity that is none is refused with those there are', () => {
		const read = readReading('girth', '1');
		expect(read).toMatchObject({ ok: false, reason: 'unknownWord' });
		expect('allowed' in read && read.allowed).toEqual(expect.arrayContaining(['diameter', 'grossMass', 'own']));
	});
});

describe('a slip', () => {
	it('is asked about at the edges of what makes sense, for diameters only', () => {
		expect(readReading('diameter', '1.4')).toMatchObject({ ok: true, value: 1.4 });
		expect(readReading('diameter', '2.1')).toMatchObject({ ok: true, value: 2.1 });
		expect(readReading('diameter', '14')).toMatchObject({ reason: 'slip', suggestion: '1.4 mm' });
		expect(readReading('diameter', '32')).toMatchObject({ reason: 'slip', suggestion: '3.2 mm' });
		expect(readReading('diameter', '22')).toMatchObject({ reason: 'outOfRange' });
		expect(readReading('grossMass', '175')).toMatchObject({ ok: true, value: 175 });
	});
	it('a unit that was typed was meant', () => {
		expect(readReading('diameter', '0.69 in')).toMatchObject({ ok: false, reason: 'outOfRange' });
		expect(readReading('diameter', '17.5 mm')).toMatchObject({ reason: 'slip', suggestion: '1.75 mm' });
	});
});

describe('words and own measures', () => {
	it('a word is its place in the list, kept as typed; the first is a value too', () => {
		expect(readReading('strings', ' None ')).toEqual({ ok: true, value: 0, typedText: 'None', typedUnit: '', resolution: null });
	});
	it('an own measure: its own unit or none typed, its step, and why it is not understood', () => {
		expect(readReading('own', ' 3,50 clicks ', 'clicks')).toEqual({
			ok: true,
			value: 3.5,
			typedText: '3,50 clicks',
			typedUnit: 'clicks',
			resolution: 0.01
		});
		expect(readReading('own', '3', 'clicks')).toMatchObject({ ok: true, value: 3, resolution: 1 });
		expect(readReading('own', 'many', 'clicks')).toEqual({ ok: false, reason: 'notANumber', allowed: ['clicks'] });
		expect(readReading('own', '3 mm', 'clicks')).toEqual({ ok: false, reason: 'unknownUnit', allowed: ['clicks'] });
	});
});
