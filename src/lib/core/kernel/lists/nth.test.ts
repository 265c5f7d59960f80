import { describe, expect, it } from 'vitest';
import { nth } from './nth';

describe('a place of a list', () => {
	it('is what stands there, whatever it is worth', () => {
		expect([nth([5, 0], 0), nth([5, 0], 1), nth(['', 'a'], 0), nth(Float64Array.of(1.5), 0), nth([null], 0)]).toEqual([
			5,
			0,
			'',
			1.5,
			null
		]);
	});
	it('that is not there is a mistake of whoever asked', () => {
		for (const place of [-1, 2, 0.5, NaN]) expect(() => nth([1, 2], place)).toThrow(RangeError);
		expect(() => nth([], 0)).toThrow('no place 0 in a list of 0');
	});
});
