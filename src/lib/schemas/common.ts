import { z } from 'zod';

/** JSON types only, so that one schema serves forms, files and the API, and can be emitted as JSON Schema. */

export const id = z
	.uuid({ version: 'v7', error: 'must be a version 7 UUID made by the sender' })
	.describe('made where the evidence is entered; the same id and body may be sent again');

export const instant = z.iso.datetime({ offset: true, error: 'must be a date and time with its offset, such as 2026-03-01T09:30:00Z' });

export const zone = z.string().max(64).refine(isZone, { error: 'is not a known time zone, such as Europe/Vienna' }).default('UTC');

function isZone(name: string): boolean {
	try {
		new Intl.DateTimeFormat('en', { timeZone: name });
		return true;
	} catch {
		return false;
	}
}

/** One line of words. Empty counts as not given. */
export const words = (max = 120) =>
	z
		.string()
		.trim()
		.max(max, { error: `must be at most ${max} characters long` });

export const requiredWords = (what: string, max = 120) => words(max).min(1, { error: `${what} is missing` });

/** A number as typed at the bench, with or without its unit; read by core/units after the schema. */
export const typed = words(40);

export const colourHex = z.string().regex(/^#[0-9a-fA-F]{6}$/, { error: 'must be a colour such as #3a4b5c' });

export const benchCode = z
	.string()
	.trim()
	.toUpperCase()
	.regex(/^[A-Z]{2}[1-9]$/, { error: 'must be two letters and a digit from 1 to 9' });
