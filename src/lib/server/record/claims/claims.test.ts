import { describe, expect, it } from 'vitest';
import { readClaims } from './claims';

const values = (texts: Parameters<typeof readClaims>[1]) => readClaims('f', texts, 0).rows.map((r) => [r.quantity, r.source, r.value]);
const codes = (texts: Parameters<typeof readClaims>[1]) => readClaims('f', texts, 0).errors.map((e) => `${e.path} ${e.code}`);

describe('stated figures as typed', () => {
	it.each(['210-230', '210 - 230 C', '210–230', '210 to 230', '230-210'])('a range "%s" becomes its two ends', (labelNozzle) => {
		expect(values({ labelNozzle })).toEqual([
			['nozzleLowC', 'label', 210],
			['nozzleHighC', 'label', 230]
		]);
	});
	it('one temperature is both ends, Fahrenheit is converted', () => {
		expect(values({ labelNozzle: '215' }).map((v) => v[2])).toEqual([215, 215]);
		expect(values({ labelNozzle: '410-446 F' }).map((v) => v[2])).toEqual([210, 230]);
	});
	it.each(['±0.02 mm', '+/-0.02', '0,02', '20 um'])('a tolerance "%s" is 0.02 mm', (labelTolerance) => {
		expect(values({ labelTolerance })[0]?.[2]).toBeCloseTo(0.02, 12);
	});
	it.each([
		['95A', 'hardnessA', 95],
		['45 d', 'hardnessD', 45],
		['Shore 82A', 'hardnessA', 82],
		['98,5 Shore A', 'hardnessA', 98.5]
	])('a hardness "%s" keeps its scale', (hardness, quantity, value) => {
		expect(values({ hardness })).toEqual([[quantity, 'label', value]]);
	});
	it.each([
		['3', 3],
		['2,5 times', 2.5],
		['10x', 10]
	])('"%s" as strong is a ratio', (timesAsStrong, value) => expect(values({ timesAsStrong })).toEqual([['timesAsStrong', 'label', value]]));
	it('a ratio that is none, or nought, is refused', () => {
		for (const timesAsStrong of ['much', '0', '3 stone', '-2']) expect(codes({ timesAsStrong })).toEqual(['timesAsStrong notANumber']);
	});
	it('a hardness without its scale, or beyond it, is refused', () => {
		expect(codes({ hardness: '95' })).toEqual(['hardness notAHardness']);
		expect(codes({ hardness: '95C' })).toEqual(['hardness notAHardness']);
		expect(codes({ hardness: '950A' })).toEqual(['hardness sizeOutOfRange']);
	});
	it('says at which field it does not understand', () => {
		expect(codes({ labelNozzle: 'warm', labelTolerance: 'tight', listingTolerance: '20' })).toEqual([
			'labelTolerance notATolerance',
			'listingTolerance toleranceOutOfRange',
			'labelNozzle notANozzleTemperature'
		]);
		expect(codes({ labelNozzle: '2150' })).toEqual(['labelNozzle nozzleOutOfRange']);
		expect(codes({ labelTolerance: '0.02 furlong' })).toEqual(['labelTolerance unknownUnit']);
	});
});
