import { describe, expect, it } from 'vitest';
import { Problem } from '../problem';
import { DeviceClocks } from './server-clock';

const DAY = 86_400_000;

describe('the clocks of devices against the server’s', () => {
	it('one that is off is that device’s matter; all that are off are the server’s', () => {
		const clocks = new DeviceClocks();
		clocks.hear('phone', 400 * DAY, 0);
		expect(clocks.apartMs).toBeNull();
		clocks.hear('desk', 398 * DAY, 1000);
		expect(clocks.apartMs).toBe(400 * DAY);
		const now = Date.parse('2026-11-01T12:00:00Z');
		const refused = (() => {
			try {
				clocks.require(now);
				return null;
			} catch (error) {
				return error instanceof Problem ? [error.status, error.title] : null;
			}
		})();
		expect(refused).toEqual([
			503,
			'The server’s clock says 1 Nov 2026 12:00 UTC, every device says about 6 Dec 2027 12:00 UTC. Nothing was stored: put the server’s clock right first.'
		]);
		clocks.hear('tablet', 0, 2000);
		expect(clocks.apartMs).toBeNull();
	});

	it('off to different sides, off by less than a day, or heard long ago, they say nothing', () => {
		const apart = (...given: [string, number, number][]) => {
			const clocks = new DeviceClocks();
			for (const [device, days, hours] of given) clocks.hear(device, days * DAY, hours * 3_600_000);
			return clocks.apartMs;
		};
		expect(apart(['a', 5, 0], ['b', -5, 0])).toBeNull();
		expect(apart(['a', 0.9, 0], ['b', 5, 0])).toBeNull();
		expect(apart(['a', 5, 0], ['b', 5, 2])).toBeNull();
		expect(apart(['a', 5, 0], ['a', 5, 0.5])).toBeNull();
		expect(apart(['a', -5, 0], ['b', -7, 0.5])).toBe(-5 * DAY);
	});
});
