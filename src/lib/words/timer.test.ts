import { describe, expect, it } from 'vitest';
import { timerWords } from './timer';

const MIN = 60_000;
describe('drying timer', () => {
	it.each([
		[240 * MIN, '4 h left'],
		[145 * MIN, '2 h 25 min left'],
		[59 * MIN + 59_000, '59 min left'],
		[20_000, 'less than a minute left'],
		[0, 'just over'],
		[-30_000, 'just over'],
		[-12 * MIN, 'over since 12 min'],
		[-26 * 60 * MIN, 'over since 26 h']
	])('%d ms before its end: %s', (left, words) => {
		expect(timerWords(1_000_000_000 + left, 1_000_000_000)).toEqual({ over: left <= 0, words });
	});
});
