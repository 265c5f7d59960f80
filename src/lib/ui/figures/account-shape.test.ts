import { describe, expect, it } from 'vitest';
import { accountShape } from './account-shape';

const box = { width: 100, massTop: 0, massHeight: 10, waterTop: 20, waterHeight: 10, inset: 0 };
const point = (at: number, grossG: number, pct: number) => ({ at, grossG, before: 'air', pct, lowPct: pct - 0.1, highPct: pct + 0.1 });

describe('account figure', () => {
	it('mass goes in steps, water in a line with its band', () => {
		const shape = accountShape([point(0, 1000, 0), point(5, 980, 0.2), point(10, 980, 0.4)], { low: 0, high: 1 }, box);
		expect(shape.mass).toBe('M0.0,0.0H50.0V10.0H100.0V10.0');
		expect(shape.water).toBe('M0.0,30.0L50.0,28.0L100.0,26.0');
		expect(shape.band.endsWith('Z')).toBe(true);
		expect(shape.zeroY).toBe(30);
	});
	it('stays inside its box beyond the scale, and with one or no weighing', () => {
		const far = accountShape([point(0, 1000, 9), point(1, 1000, -9)], { low: 0, high: 1 }, box);
		expect(far.water).toBe('M0.0,20.0L100.0,30.0');
		expect(accountShape([point(3, 1000, 0)], { low: 0, high: 1 }, box).mass).toBe('M50.0,5.0');
		expect(accountShape([], { low: 0, high: 1 }, box)).toMatchObject({ mass: '', water: '', band: '' });
	});
});
