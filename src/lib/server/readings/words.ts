import type { ReadReading } from '$lib/core/readings/read-reading';
import type { FieldError } from '$lib/schemas/field-error';

type Refused = Exclude<ReadReading, { ok: true }>;

const WORDS: Record<Refused['reason'], (allowed: readonly string[]) => string> = {
	empty: () => 'type a value',
	notANumber: () => 'is not a number',
	ambiguous: () => 'has two decimal marks; type one, comma or point',
	unknownUnit: (allowed) => `has an unknown unit; known here: ${allowed.join(', ')}`,
	unknownWord: (allowed) => `is not one of: ${allowed.join(', ')}`,
	notWhole: () => 'is not a whole number',
	notPositive: () => 'must be above zero',
	outOfRange: () => 'is not a believable value here',
	slip: () => 'looks like a slip of the decimal mark or the unit'
};

/** Words for a refused reading at its field. */
export function refusedReading(path: string, refused: Refused): FieldError {
	const message = WORDS[refused.reason](refused.allowed);
	if (refused.reason !== 'slip') return { path, code: refused.reason, message };
	return { path, code: 'slip', message: `${message}: did you mean ${refused.suggestion}?`, suggestion: refused.suggestion };
}
