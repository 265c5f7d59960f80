import type { ReadReading } from '$lib/core/joins/read-reading';
import { fieldError, type FieldError } from './field-error';

type Refused = Exclude<ReadReading, { ok: true }>;

/** A reading that was refused, as an error at its field. */
export function refusedReading(path: string, refused: Refused): FieldError {
	switch (refused.reason) {
		case 'slip':
			return fieldError(path, 'slip', { suggestion: refused.suggestion }, refused.suggestion);
		case 'unknownUnit':
		case 'unknownWord':
			return fieldError(path, refused.reason, { allowed: refused.allowed.join(', ') });
		case 'empty':
			return fieldError(path, 'valueMissing');
		default:
			return fieldError(path, refused.reason);
	}
}
