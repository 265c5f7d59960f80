import { describe, expect, it } from 'vitest';
import { attempt, evidence, mark, basis } from '../../../../tests/support/evidence';
import { STATIONS } from '../registry';
import { rankedFinding } from './ranked-finding';

const print = attempt();
const marked = evidence({ readings: [mark(print, 'overhangLastClean', 65)], attempts: [print] });
const find = (spool: typeof marked, quantity: string) => {
	const found = STATIONS.flatMap((s) => s.find(spool, basis, 0)).find((f) => f.quantity === quantity);
	if (!found) throw new Error(`no finding of ${quantity}`);
	return found;
};

describe('a finding as the pick takes it', () => {
	it('keeps value, interval, sampling, n and method', () => {
		const whole = find(marked, 'overhang');
		const { estimate, n, interval, sampling, method } = whole;
		expect(n).toBe(1);
		expect(rankedFinding(whole)).toEqual({ estimate, n, interval, sampling, method });
	});
	it('without any evidence is none; with readings that tell nothing yet it keeps its n', () => {
		const empty = find(evidence({}), 'overhang');
		expect(empty.sampling.kind).toBe('unknown');
		expect(rankedFinding(empty)).toBeUndefined();
		expect(rankedFinding({ ...empty, n: 3 })?.n).toBe(3);
		expect(rankedFinding(undefined)).toBeUndefined();
	});
});
