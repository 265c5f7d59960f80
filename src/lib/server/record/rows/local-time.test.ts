import { describe, expect, it } from 'vitest';
import { readLocalTime } from './local-time';

const PRAGUE = { zone: 'Europe/Prague', dayFirst: true };

describe('a spreadsheet’s date and time', () => {
	it.each([
		['2026-11-27 14:30', '2026-11-27T13:30:00.000Z'],
		['2026-11-27T14:30', '2026-11-27T13:30:00.000Z'],
		['27.11.2026 9:05', '2026-11-27T08:05:00.000Z'],
		['27/11/2026 14:30:10', '2026-11-27T13:30:10.000Z'],
		['03/04/2026 8:00', '2026-04-03T06:00:00.000Z'],
		['1/7/2026 2:30 pm', '2026-07-01T12:30:00.000Z'],
		// Noon; summer time is two hours ahead.
		['1.7.2026', '2026-07-01T10:00:00.000Z']
	])('%s', (text, instant) => expect(readLocalTime(text, PRAGUE)).toBe(instant));
	it('month first where the reader writes so', () => {
		expect(readLocalTime('03/04/2026 8:00 AM', { zone: 'America/New_York', dayFirst: false })).toBe('2026-03-04T13:00:00.000Z');
	});
	it('never turns a date round to make sense of it', () => {
		expect(readLocalTime('11/27/2026 8:00', PRAGUE)).toBeNull();
		expect(readLocalTime('27/11/2026 8:00', { ...PRAGUE, dayFirst: false })).toBeNull();
	});
	it.each(['', 'yesterday', '27.11.26 8:00', '31.2.2026 8:00', '2026-11-27 25:00', '46353.6'])('%s is none', (text) =>
		expect(readLocalTime(text, PRAGUE)).toBeNull()
	);
});
