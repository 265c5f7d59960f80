import { casual, GB } from 'chrono-node/en';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { readWhen } from './read-when';

const HOUR = 3_600_000;
let before: string | undefined;
beforeEach(() => {
	before = process.env.TZ;
	process.env.TZ = 'Europe/Vienna';
});
afterEach(() => {
	if (before === undefined) delete process.env.TZ;
	else process.env.TZ = before;
});

/** Friday 27 November 2026, 14:30 in Vienna. */
const now = Date.UTC(2026, 10, 27, 13, 30);
const at = (typed: string, chrono = GB, from = now) => {
	const read = readWhen(typed, from, chrono);
	return read.ok ? new Date(read.at).toISOString() : read.code;
};

describe('a time as people type it', () => {
	it.each([
		['yesterday 9:00', '2026-11-26T08:00:00.000Z'],
		['  Yesterday 9:00 ', '2026-11-26T08:00:00.000Z'],
		['-2 h', '2026-11-27T11:30:00.000Z'],
		['2 h ago', '2026-11-27T11:30:00.000Z'],
		['45 min ago', '2026-11-27T12:45:00.000Z'],
		['3 days ago', '2026-11-24T13:30:00.000Z'],
		['9:00', '2026-11-27T08:00:00.000Z'],
		['26 Nov 18:30', '2026-11-26T17:30:00.000Z'],
		['26.11.2026 18:30', '2026-11-26T17:30:00.000Z'],
		['2026-11-26 18:30', '2026-11-26T17:30:00.000Z'],
		['last Monday 18:00', '2026-11-23T17:00:00.000Z']
	])('%s', (typed, iso) => expect(at(typed)).toBe(iso));

	it('has its day before its month, in the United States after it', () => {
		expect(at('3/4/2026 12:00', GB)).toBe('2026-04-03T10:00:00.000Z');
		expect(at('3/4/2026 12:00', casual)).toBe('2026-03-04T11:00:00.000Z');
	});
	it('heeds the end of summer time: yesterday 9:00 lay an hour farther off', () => {
		const sunday = Date.UTC(2026, 9, 25, 8, 0);
		expect(at('yesterday 9:00', GB, sunday)).toBe('2026-10-24T07:00:00.000Z');
		expect(at('-24 h', GB, sunday)).toBe(new Date(sunday - 24 * HOUR).toISOString());
	});
	it.each(['gibberish', '90', '9.30', 'yesterday 25:00', 'yesterday 9:00 or so', '2026-02-30', '31/11/2026', 'Monday to Tuesday', ''])(
		'%s is none, however much of it looks like one',
		(typed) => expect(at(typed)).toBe('notAMoment')
	);
	it.each(['tomorrow', '23:00', '+1 h'])('%s has not been yet', (typed) => expect(at(typed)).toBe('future'));
	it('the present minute has', () => expect(at('14:30')).toBe('2026-11-27T13:30:00.000Z'));
});
