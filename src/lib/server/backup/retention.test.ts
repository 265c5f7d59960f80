import { describe, expect, it } from 'vitest';
import { keptOf } from './retention';

const day = (iso: string, hour = 12) => Date.parse(`${iso}T${String(hour).padStart(2, '0')}:00:00Z`);
const days = (from: string, n: number) => Array.from({ length: n }, (_, i) => day(from) + i * 86_400_000);
const iso = (moments: readonly number[]) => moments.map((m) => new Date(m).toISOString().slice(0, 10));

describe('which backups are kept', () => {
	it('of a day the newest', () => {
		expect(keptOf([day('2026-03-02', 9), day('2026-03-02', 17), day('2026-03-03')])).toEqual([day('2026-03-03'), day('2026-03-02', 17)]);
	});

	it('of two years of daily ones: seven days, eight weeks, twelve months', () => {
		// 730 days that end on Sunday, 29 November 2026.
		const kept = iso(keptOf(days('2024-11-30', 730)));
		expect(kept).toEqual([
			...['2026-11-29', '2026-11-28', '2026-11-27', '2026-11-26', '2026-11-25', '2026-11-24', '2026-11-23'],
			...['2026-11-22', '2026-11-15', '2026-11-08', '2026-11-01', '2026-10-31', '2026-10-25', '2026-10-18', '2026-10-11'],
			...['2026-09-30', '2026-08-31', '2026-07-31', '2026-06-30', '2026-05-31', '2026-04-30', '2026-03-31'],
			...['2026-02-28', '2026-01-31', '2025-12-31']
		]);
	});

	it('days without one take nobody’s place', () => {
		const sundays = ['2026-01-04', '2026-01-11', '2026-01-18', '2026-01-25', '2026-02-01', '2026-02-08', '2026-02-15'].map((d) => day(d));
		expect(keptOf(sundays)).toEqual([...sundays].reverse());
		expect(keptOf([])).toEqual([]);
	});

	it('kept again day by day, nothing is taken away that a later day would have kept', () => {
		let here: number[] = [];
		for (const moment of days('2025-01-01', 500)) here = keptOf([...here, moment]);
		expect(here).toEqual(keptOf(days('2025-01-01', 500)));
	});
});
