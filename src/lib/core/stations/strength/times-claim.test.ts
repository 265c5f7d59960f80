import { describe, expect, it } from 'vitest';
import { basis, evidence, load, specimen } from '../../../../../tests/support/evidence';
import type { Finding } from '../../judging/finding/types';
import { strengthStation } from './station';
import { timesClaim } from './times-claim';

const loaded = (given: Partial<Finding>): Finding => {
	const part = specimen();
	const [found] = strengthStation.find(evidence({ specimens: [part], readings: [load(part, 'loadBroke', 100)] }), basis);
	return {
		...(found as Finding),
		...given,
		subject: { ...(found as Finding).subject, variant: 'hook · upright · steps', ...given.subject }
	};
};
const of = (estimate: number, low: number, high: number, n = 5) =>
	loaded({ estimate, n, interval: { low, high, level: 0.95, kind: 'credible' } });

describe('a maker’s "n times as strong"', () => {
	it('is a ratio of loads, its range by the two ranges in logarithms', () => {
		// Ranges a tenth up and down in logarithms each: the ratio's is the root of two times that.
		const found = timesClaim(3, [of(200, 200 / 1.1, 220)], [of(100, 100 / 1.1, 110, 4)]);
		const half = Math.SQRT2 * Math.log(1.1);
		expect(found).toMatchObject({ stated: 3, n: 5, nOther: 4, variant: 'hook · upright · steps', outcome: 'broken' });
		expect(found?.ratio).toBeCloseTo(2, 9);
		expect(found?.low).toBeCloseTo(2 * Math.exp(-half), 9);
		expect(found?.high).toBeCloseTo(2 * Math.exp(half), 9);
	});
	it('is kept where all of the range reaches it, broken where none does, else open', () => {
		const outcome = (stated: number) => timesClaim(stated, [of(200, 180, 222)], [of(100, 90, 111)])?.outcome;
		expect([1.5, 2, 2.5].map(outcome)).toEqual(['kept', 'open', 'broken']);
	});
	it('compares one kind of test part only, the one with the most parts of both', () => {
		const bar = (finding: Finding) => ({ ...finding, subject: { ...finding.subject, variant: 'bar · flat · direct' } });
		expect(timesClaim(2, [bar(of(200, 180, 222))], [of(100, 90, 111)])).toBeNull();
		const found = timesClaim(2, [of(200, 180, 222, 2), bar(of(300, 270, 333, 6))], [of(100, 90, 111), bar(of(100, 90, 111, 6))]);
		expect(found).toMatchObject({ variant: 'bar · flat · direct', n: 6 });
	});
	it('is nothing where either was not loaded', () => {
		const none = loaded({ estimate: null, n: 0, interval: null });
		expect(timesClaim(2, [none], [of(100, 90, 111)])).toBeNull();
		expect(timesClaim(2, [of(100, 90, 111)], [none])).toBeNull();
		expect(timesClaim(2, [of(100, 0, 111)], [of(100, 90, 111)])).toBeNull();
	});
});
