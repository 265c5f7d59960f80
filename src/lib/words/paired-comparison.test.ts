import { describe, expect, it } from 'vitest';
import { markQuantity } from '$lib/core/stations/prints/marks/marks';
import type { PairedResult } from '$lib/core/stations/prints/ways/paired-comparison';
import { differenceName, levelName, pairedWords } from './paired-comparison';

const overhang = markQuantity('overhang');
const strings = markQuantity('strings');

const result = (more: Partial<PairedResult>): PairedResult => ({
	def: overhang,
	pairs: [],
	better: 6,
	worse: 1,
	same: 2,
	p: 0.125,
	rankP: 0.05,
	outcome: 'noDifference',
	...more
});
const fan = { id: 'fanPct', first: '0', second: '50' };

describe('two ways in words', () => {
	it('names what differs and its values', () => {
		expect(['fanPct', 'condition', 'bedSurface', 'spool'].map(differenceName)).toEqual(['Fan', 'Condition', 'Bed surface', 'Spool']);
		expect(levelName('fanPct', '50')).toBe('50 %');
		expect(levelName('condition', 'asReceived')).toBe('as received');
		expect(levelName('printer', 'North')).toBe('North');
	});
	it('says which did better, by how many pairs, and by which tests', () => {
		expect(pairedWords(result({ outcome: 'helped', p: 0.03125 }), fan)).toBe(
			'Overhang: 50 % did better than 0 %: 6 better, 1 worse, 2 the same of 0 pairs (exact sign test, p = 0.031; signed ranks, p = 0.05).'
		);
		expect(pairedWords(result({ def: strings, outcome: 'hurt', rankP: null }), fan)).toMatch(
			/Strings: 50 % did worse than 0 %: .*\(exact sign test, p = 0.125\)/
		);
		expect(pairedWords(result({}), fan)).toContain('that these prints can show');
		expect(pairedWords(result({ outcome: 'tooFew', p: null }), fan)).toContain('six that differ');
	});
});
