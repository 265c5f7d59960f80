import { describe, expect, it } from 'vitest';
import { attempt, evidence, mark, basis } from '../../../../../tests/support/evidence';
import { STATIONS } from '../../joins/registry';
import { rankedFinding } from './ranked-finding';

const print = attempt();
const marked = evidence({ readings: [mark(print, 'overhangLastClean', 65)], attempts: [print] });
const find = (spool: typeof marked, quantity: string) => {
	const found = STATIONS.flatMap((s) => s.find(spool, basis)).find((f) => f.quantity === quantity);
	if (!found) throw new Error(`no finding of ${quantity}`);
	return found;
};

describe('a finding as the pick takes it', () => {
	it('keeps value, interval, sampling, what is shared, n and method', () => {
		const whole = find(marked, 'overhang');
		const { estimate, n, interval, sampling, shared, method } = whole;
		expect(n).toBe(1);
		expect(rankedFinding(whole)).toEqual({ estimate, n, interval, sampling, shared, method });
	});
	it('without any evidence is what such spools are expected to be; none where nothing at all is said', () => {
		const empty = find(evidence({}), 'overhang');
		expect(empty.sampling).toMatchObject({ kind: 'unknown', expected: {} });
		expect(rankedFinding(empty)).toMatchObject({ n: 0, estimate: null, sampling: empty.sampling });
		const nothing = find(evidence({}), 'diameterMean');
		expect(nothing.sampling).toMatchObject({ kind: 'unknown' });
		expect(rankedFinding(nothing)).toBeUndefined();
		expect(rankedFinding(undefined)).toBeUndefined();
	});
});
