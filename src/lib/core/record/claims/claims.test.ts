import { describe, expect, it } from 'vitest';
import type { Claim } from '../evidence/claim';
import { nominalDiameter } from './nominal';
import { stated } from './stated';

const claim = (quantity: string, source: Claim['source'], value: number): Claim => ({
	id: `${quantity} ${source} ${value}`,
	quantity,
	source,
	value
});
const spools = (...diameters: (number | null)[]) =>
	diameters.map((value) => ({ claims: value === null ? [] : [claim('diameter', 'label', value)] }));

describe('a stated figure', () => {
	it('is the label’s, with the listing beside it', () => {
		const both = [claim('diameterTolerance', 'listing', 0.03), claim('diameterTolerance', 'label', 0.02)];
		expect(stated(both, 'diameterTolerance')).toEqual({ value: 0.02, source: 'label', other: 0.03 });
		expect(stated(both.slice(1), 'diameterTolerance')).toEqual({ value: 0.02, source: 'label', other: null });
	});
	it('else the listing’s, else none', () => {
		expect(stated([claim('diameterTolerance', 'listing', 0.03)], 'diameterTolerance')).toEqual({
			value: 0.03,
			source: 'listing',
			other: null
		});
		expect(stated([claim('diameter', 'label', 1.75)], 'diameterTolerance')).toBeNull();
	});
	it('of several the first counts, which is the newest', () => {
		expect(stated([claim('diameter', 'label', 2.85), claim('diameter', 'label', 1.75)], 'diameter')?.value).toBe(2.85);
	});
});

describe('the nominal diameter of a trial', () => {
	it.each([
		[[2.85, 1.75, 2.85], 2.85],
		[[null, 2.85, null, null], 2.85],
		// Of two as many the thinner, whichever came first.
		[[2.85, 1.75], 1.75],
		[[1.75, 2.85], 1.75],
		[[null, null], 1.75],
		[[], 1.75]
	])('stated %j', (stated, nominal) => expect(nominalDiameter(spools(...stated))).toBe(nominal));
});
