import { describe, expect, it } from 'vitest';
import { numberOf, remembering } from './remember';

describe('what was worked out before', () => {
	it('is made once for a key', () => {
		const known = remembering<string, number[]>(2);
		let made = 0;
		const ask = (key: string) => known(key, () => [++made]);
		expect(ask('a')).toBe(ask('a'));
		expect([ask('a'), ask('b'), ask('a')]).toEqual([[1], [2], [1]]);
	});

	it('is forgotten when many others were asked for since, and made again', () => {
		const known = remembering<number, { n: number }>(3);
		let made = 0;
		const ask = (key: number) => known(key, () => ({ n: ++made })).n;
		expect([0, 1, 2, 3, 4, 5, 6, 7].map(ask)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
		expect(ask(7)).toBe(8);
		expect(ask(0)).toBe(9);
	});

	it('an object keeps its number, and another has another', () => {
		const [one, alike] = [{ n: 1 }, { n: 1 }];
		expect(numberOf(one)).toBe(numberOf(one));
		expect(numberOf(alike)).not.toBe(numberOf(one));
	});
});
