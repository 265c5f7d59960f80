import { describe, expect, it } from 'vitest';
import { markQuantity } from '$lib/core/prints/mark-entries';
import type { WayResult } from '$lib/core/prints/ways';
import { differenceName, wayName, wayWords } from './ways';

const overhang = markQuantity('overhang');
const strings = markQuantity('strings');

const result = (more: Partial<WayResult>): WayResult => ({
	def: overhang,
	pairs: [],
	better: 6,
	worse: 1,
	same: 2,
	p: 0.125,
	rankP: 0.05,
	says: 'noDifference',
	...more
});
const fan = { id: 'fanPct', first: '0', second: '50' };

describe('two ways in words', () => {
	it('names what differs and its values', () => {
		expect(['fanPct', 'condition', 'bedSurface', 'spool'].map(differenceName)).toEqual(['Fan', 'Condition', 'Bed surface', 'Spool']);
		expect(wayName('fanPct', '50')).toBe('50 %');
		expect(wayName('condition', 'asReceived')).toBe('as received');
		expect(wayName('printer', 'North')).toBe('North');
	});
	it('says which did better, by how many pairs, and by which tests', () => {
		expect(wayWords(result({ says: 'helped', p: 0.03125 }), fan)).toBe(
			'Overhang: 50 % did better than 0 %: 6 better, 1 worse, 2 the same of 0 pairs (exact sign test, p = 0.031; signed ranks, p = 0.05).'
		);
		expect(wayWords(result({ def: strings, says: 'hurt', rankP: null }), fan)).toMatch(
			/Strings: 50 % did worse than 0 %: .*\(exact sign test, p = 0.125\)/
		);
		expect(wayWords(result({}), fan)).toContain('that these prints can show');
		expect(wayWords(result({ says: 'tooFew', p: null }), fan)).toContain('six that differ');
	});
});
