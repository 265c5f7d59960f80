import { fieldError } from '$lib/schemas/field-error';
import { problem } from '../problem';
import { canonical } from './canonical';

type Fields = Record<string, unknown>;

/** A value as a person at the form would say it. */
function told(value: unknown): string {
	if (value === null || value === undefined || value === '') return '';
	return typeof value === 'string' ? value : JSON.stringify(value);
}

/**
 * Refuses a change of a field that somebody else has changed since the sender saw it, and says both values: nobody overwrites what they
 * have not seen. Fields that are not changed, or of which the sender does not say what was seen, are not asked about; who wants the same
 * as stands there now is no rival.
 * @param seen the changed fields as they stood on the sender's form
 * @param stands the same fields as they stand now, read under the lock that the change is written under
 */
export function requireSeen(seen: Fields | undefined, stands: Fields, wanted: Fields): void {
	const same = (a: unknown, b: unknown) => canonical(a ?? null) === canonical(b ?? null);
	const moved = Object.keys(seen ?? {}).filter(
		(name) => name in stands && wanted[name] !== undefined && !same(seen?.[name], stands[name]) && !same(wanted[name], stands[name])
	);
	if (moved.length === 0) return;
	throw problem(
		409,
		'changedMeanwhile',
		{},
		moved.map((name) => fieldError(name, 'changedMeanwhile', { now: told(stands[name]), yours: told(wanted[name]) }))
	);
}
