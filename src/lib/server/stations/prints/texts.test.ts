import { describe, expect, it } from 'vitest';
import { faultsBeside } from './texts';

const told = (body: unknown) => faultsBeside(body).map((e) => `${e.path} ${e.code}`);

describe('a print that is refused for how it ended', () => {
	const ended = { outcome: 'failed' };
	it('is told what is wrong with its marks and the room as well', () => {
		const body = {
			...ended,
			marks: { overhangLastClean: 'steep', bridgeLongestClean: '40', bridgeFirstFaulty: '30' },
			roomTemperature: '200 C'
		};
		const found = told(body);
		expect(found).toContain('marks.overhangLastClean notANumber');
		expect(found.filter((f) => f.startsWith('marks.bridge'))).toHaveLength(1);
		expect(found.some((f) => f.startsWith('roomTemperature '))).toBe(true);
	});
	it('is told nothing of good ones, nor of what is not there', () => {
		expect(told({ ...ended, marks: { overhangLastClean: '60', overhangFirstFaulty: '65' } })).toEqual([]);
		expect([told(ended), told(null), told({ marks: 'none' }), told({ marks: { nothing: '5' } })]).toEqual([[], [], [], []]);
	});
});
