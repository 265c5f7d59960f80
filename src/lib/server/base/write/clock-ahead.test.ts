import { describe, expect, it } from 'vitest';
import { clockAheadMs, saidAheadMs, withClockAhead } from './clock-ahead';

const saying = (said?: string) => new Request('http://bench.example', { headers: said === undefined ? {} : { 'x-clock-ahead-ms': said } });
const YEAR = 366 * 86_400_000;

describe('what a sender says of its clock', () => {
	it('is a whole number of milliseconds, ahead or behind; anything else says nothing', () => {
		expect(['0', '12', '-90000', '1234567890123'].map((said) => saidAheadMs(saying(said)))).toEqual([0, 12, -90_000, 1_234_567_890_123]);
		expect([undefined, '', 'late', '1.5', '12ms', 'x12', '12345678901234', '--1'].map((said) => saidAheadMs(saying(said)))).toEqual(
			Array(8).fill(0)
		);
	});
	it('goes along with the write it came with, and with no other', async () => {
		const seen = (said?: string) => withClockAhead(saying(said), () => Promise.resolve(clockAheadMs()));
		expect(await Promise.all([seen('5000'), seen('-5000'), seen(), seen('0')])).toEqual([5000, -5000, null, null]);
		expect(clockAheadMs()).toBeNull();
	});
	it('of more than a year is a clock that was never set', async () => {
		const seen = (ms: number) => withClockAhead(saying(String(ms)), () => Promise.resolve(clockAheadMs()));
		expect(await Promise.all([seen(YEAR), seen(YEAR + 1), seen(-YEAR), seen(-YEAR - 1)])).toEqual([YEAR, null, -YEAR, null]);
	});
});
