import { describe, expect, it } from 'vitest';
import { diameters, evidence } from '../../../../../tests/support/evidence';
import { diameterProgress, firstUnmeasured } from './progress';

describe('progress of a diameter', () => {
	it('counts diameters only, and only those that count', () => {
		const [first, ...rest] = diameters([1.75, 1.76, 1.74]);
		const struck = { ...(first as NonNullable<typeof first>), status: 'excluded' as const };
		const flow = { ...(first as NonNullable<typeof first>), quantity: 'calibratedFlow' };
		expect(diameterProgress(evidence({ readings: [struck, flow, ...rest] }))).toEqual({ counted: 2, loggedM: null });
	});
	it('opens the first spool that wants readings; a log stands for them', () => {
		const of = (...counted: number[]) => counted.map((n) => ({ counted: n, loggedM: null }));
		expect(firstUnmeasured(of(10, 4, 0), 10)).toBe(1);
		expect(firstUnmeasured([{ counted: 0, loggedM: 30 }, ...of(9)], 10)).toBe(1);
		expect(firstUnmeasured(of(10, 10), 10)).toBe(0);
		expect(firstUnmeasured([], 10)).toBeNull();
	});
});
