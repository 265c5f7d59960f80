import { describe, expect, it } from 'vitest';
import { suddenChange } from './sudden-change';

const MINUTE = 60_000;
const last = { at: 0, grossG: 998, uG: 0.4 };
const next = (grossG: number, more: object = {}) => suddenChange(last, { grossG, uG: 0.4, at: MINUTE, before: 'air', ...more });

describe('a change of mass that nothing explains', () => {
	it('7 g lighter a minute later is asked about, and so is heavier', () => {
		expect([next(991), next(1005)]).toEqual([-7, 7]);
	});
	it('not what the scale may be off by, nor less than two grams', () => {
		// Three times the root of 0.4² + 0.4² is 1.70 g; of 1² + 1², 4.24 g.
		expect([next(996.1), next(996), suddenChange({ ...last, uG: 1 }, { grossG: 994, uG: 1, at: MINUTE, before: 'air' })]).toEqual([
			null,
			-2,
			null
		]);
	});
	it('not after a print or a drying, later than ten minutes, or before the last one', () => {
		for (const more of [{ before: 'print' }, { before: 'dried' }, { at: 10 * MINUTE + 1 }, { at: -1 }]) expect(next(991, more)).toBeNull();
		expect(next(991, { at: 10 * MINUTE })).toBe(-7);
	});
});
