import { DateTime } from 'luxon';

/** Where the clock of a file stood that says no offset, and which way round its dates are. */
export type LocalTime = { zone: string; dayFirst: boolean };

const SHAPE = /^(?:(\d{4}-\d{1,2}-\d{1,2})|\d{1,2}([./-])\d{1,2}\2\d{4})(?:[ T]+(\d{1,2}:\d{2}(:\d{2})?)\s*([ap]m)?)?$/i;
/** A date alone counts as noon: no hour of it is farther than twelve from there. */
const NOON = { hour: 12 };

/**
 * A spreadsheet's date and time as an instant. The order of day and month is that of the reader's language, for the whole file: a date that only makes sense
 * the other way round is none. Dates with points have the day first everywhere.
 * @returns null where it is no such date; ISO instants are left to the schema
 */
export function readLocalTime(text: string, { zone, dayFirst }: LocalTime): string | null {
	const typed = text.trim();
	const [shape, iso, between, time, seconds, half] = SHAPE.exec(typed) ?? [];
	if (shape === undefined) return null;
	const order = iso ? 'yyyy-M-d' : dayFirst || between === '.' ? ['d', 'M', 'yyyy'].join(between) : ['M', 'd', 'yyyy'].join(between);
	const clock = time ? ` ${half ? 'h' : 'H'}:mm${seconds ? ':ss' : ''}${half ? ' a' : ''}` : '';
	const [date] = typed.split(/[ T]/);
	const read = DateTime.fromFormat([date, time, half].filter(Boolean).join(' '), order + clock, { zone, locale: 'en-GB' });
	return read.isValid ? (time ? read : read.set(NOON)).toUTC().toISO() : null;
}
