import { describe, expect, it } from 'vitest';
import { markQuantity } from '$lib/core/stations/prints/marks/marks';
import type { BesideFellows } from '$lib/core/answers/scorecard/beside-fellows';
import { scorecardSentence, standingWords } from './beside-fellows';

const line = (quantity: string, n: number, worse: number, better: number): BesideFellows => ({
	quantity,
	estimate: 1,
	n: 3,
	value: 0.5,
	low: 0.4,
	high: 0.6,
	fellows: Array<number>(n).fill(0.5),
	worse,
	better
});
const stands = (n: number, worse: number, better: number, quantity = 'strings') => standingWords(line(quantity, n, worse, better));

describe('where a spool stands', () => {
	it('is told by what is clear: all, most, or as good as those that are not clearly better', () => {
		expect(stands(6, 6, 0)).toBe('better than all 6');
		expect(stands(9, 7, 1)).toBe('better than 7 of 9');
		expect(stands(9, 2, 3)).toBe('as good as 6 of 9');
		expect(stands(9, 0, 0)).toBe('as good as 9 of 9');
		expect(stands(7, 1, 5)).toBe('worse than 5 of 7');
		expect(stands(3, 0, 3)).toBe('worse than all 3');
	});
	it('one fellow is “the other”, none is nobody', () => {
		expect([stands(1, 1, 0), stands(1, 0, 1), stands(0, 0, 0)]).toEqual(['better than the other', 'worse than the other', 'the first one']);
	});
	it('cost, load and water have words of their own', () => {
		expect(stands(7, 0, 5, 'costPerGoodKg')).toBe('dearer than 5 of 7');
		expect(stands(6, 4, 0, 'strengthLoad')).toBe('stronger than 4 of 6');
		expect(stands(6, 6, 0, 'waterUptake')).toBe('drier than all 6');
	});
});

describe('a spool in a sentence', () => {
	const defs = [markQuantity('overhang'), markQuantity('bridge'), markQuantity('strings')];
	const say = (...lines: BesideFellows[]) => scorecardSentence(lines, 'PETG', 9, defs);
	it('says what it is the best at, better and worse than most', () => {
		expect(say(line('overhang', 9, 9, 0), line('bridge', 8, 4, 0), line('strings', 9, 0, 6))).toBe(
			'Beside 9 other PETG: the best so far at overhang; better than most at bridge; worse than most at strings.'
		);
	});
	it('says so where nothing sets it apart, where it is the first, and where nothing was measured', () => {
		expect(say(line('overhang', 9, 2, 2))).toBe('Beside 9 other PETG: nothing sets it clearly apart.');
		expect(scorecardSentence([line('overhang', 0, 0, 0)], 'PETG', 0, defs)).toBe(
			'The first PETG here: there is nothing to set it beside yet.'
		);
		expect(say()).toBe('Nothing was measured of it yet.');
	});
});
