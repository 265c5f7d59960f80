import { describe, expect, it } from 'vitest';
import { placeCodes } from './place-codes';

const area = { left: 0, right: 400, top: 0, bottom: 300 };

describe('bench codes on the chart', () => {
	it('a lone blot has its code at the right above', () => {
		expect(placeCodes([{ x: 100, y: 100, code: 'KE1' }], area)).toEqual([{ code: 'KE1', x: 110, y: 91 }]);
	});
	it('codes of a cluster do not cover each other', () => {
		const placed = placeCodes(
			[0, 1, 2, 3, 4].map((i) => ({ x: 100 + i * 6, y: 100 + i * 4, code: `K${i}` })),
			area
		);
		for (const [i, a] of placed.entries())
			for (const b of placed.slice(i + 1)) expect(Math.abs(a.x - b.x) >= 28 || Math.abs(a.y - b.y) >= 13).toBe(true);
	});
	it('stays inside at the edge', () => {
		expect(placeCodes([{ x: 395, y: 5, code: 'KE1' }], area)[0]?.x).toBeLessThan(373);
	});
});
