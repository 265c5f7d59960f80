import { saying } from './field-error';
import { z } from 'zod';

/** JSON types only, so that one schema serves forms, files and the API, and can be emitted as JSON Schema. */

export const id = z
	.uuid({ version: 'v7', error: saying('notAUuid') })
	.describe('made where the evidence is entered; the same id and body may be sent again');

/** A moment between 1970 and 9999, as the record can hold it. */
export const instant = z.iso
	.datetime({ offset: true, error: saying('notAnInstant') })
	.refine((text) => !(Date.parse(text) < 0), { error: saying('before1970') });

export const zone = z
	.string()
	.max(64)
	.refine(isZone, { error: saying('unknownZone') })
	.default('UTC');

/** Zones seen so far: finding out takes longer than the rest of a request. Only real ones are kept, so there is an end to them. */
const zones = new Set<string>();

function isZone(name: string): boolean {
	if (zones.has(name)) return true;
	try {
		new Intl.DateTimeFormat('en', { timeZone: name });
		zones.add(name);
		return true;
	} catch {
		return false;
	}
}

/**
 * Characters that are not seen: controls (NUL among them), what turns the direction of writing, halves of a character. A name that holds
 * one looks like another name. Line breaks and tabs pass only where lines are kept.
 */
// eslint-disable-next-line no-control-regex -- these are the very characters that are refused
const UNSEEN = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff]|\p{Surrogate}/u;
const LINES = /[\t\n\r\u2028\u2029]/;

export const isSeen = (text: string, lines = false): boolean => !UNSEEN.test(text) && (lines || !LINES.test(text));

/** Words, on one line up to 300 characters. Empty counts as not given. */
export const words = (max = 120) =>
	z
		.string()
		.trim()
		.max(max, { error: saying('tooLong', { most: max }) })
		.refine((text) => isSeen(text, max > 300), { error: saying('unseenCharacters') });

export const requiredWords = (max = 120) => words(max).refine((text) => text !== '', { error: saying('missing') });

/** What a number field says of something that is none; of one that is too large or too small it says that. */
export const unlessANumber = ({ code }: { code?: string }): string | undefined =>
	code === 'invalid_type' ? saying('notANumber') : undefined;

/** A number as typed at the bench, with or without its unit; read by core/kernel/units after the schema. */
export const typed = words(40);

export const colourHex = z.string().regex(/^#[0-9a-fA-F]{6}$/, { error: saying('notAColour') });

/** The changed fields as they stood on the sender's form: where somebody else changed one since, 409 with both values. */
export const seen = z
	.record(z.string().max(40), z.unknown())
	.optional()
	.describe('changed fields as the sender saw them; one that was changed since is answered with 409 and both values');

export const benchCode = z
	.string()
	.trim()
	.toUpperCase()
	.regex(/^[A-Z]{2,3}[1-9]$/, { error: saying('notABenchCode') });
