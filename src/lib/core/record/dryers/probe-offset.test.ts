import { expect, it } from 'vitest';
import { probeOffset } from './probe-offset';

const check = (setPointC: number, probeC: number) => ({ id: String(probeC), at: 0, setPointC, probeC });

it('is nothing without a check, and a figure without a range from one', () => {
	expect(probeOffset([])).toBeNull();
	expect(probeOffset([check(60, 54)])).toEqual({ n: 1, offsetK: -6, interval: null });
});

it('is the mean of what the probe showed above what was set, with its t interval', () => {
	const found = probeOffset([check(60, 54), check(70, 62), check(50, 46)]);
	// -6, -8, -4: s = 2, t(0.975; 2) = 4.303 (any table), 4.303 * 2 / sqrt(3) = 4.968
	expect(found).toMatchObject({ n: 3, offsetK: -6 });
	expect(found?.interval?.low).toBeCloseTo(-10.968, 3);
	expect(found?.interval?.high).toBeCloseTo(-1.032, 3);
});

it('has a range from equal readings too: a display of whole degrees hides a spread', () => {
	const found = probeOffset([check(60, 54), check(60, 54), check(60, 54)]);
	// t(0.975; 2) = 4.303, step 1 K: 4.303 / sqrt(12) / sqrt(3) = 0.717
	expect(found?.interval?.low).toBeCloseTo(-6.717, 3);
	expect(found?.interval?.high).toBeCloseTo(-5.283, 3);
});
