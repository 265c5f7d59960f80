import type { ReadReading } from '$lib/core/readings/read-reading';

type Refused = Exclude<ReadReading, { ok: true }>;

/** Why a value was not kept, for the line under the field. The value itself stands before it. */
export function refusalWords(refused: Refused): { message: string; suggestion: string | null } {
	switch (refused.reason) {
		case 'empty':
			return { message: 'Type a value first.', suggestion: null };
		case 'notANumber':
			return { message: 'is not a number.', suggestion: null };
		case 'ambiguous':
			return { message: 'has two decimal marks; type one, comma or point.', suggestion: null };
		case 'notWhole':
			return { message: 'is not a whole number.', suggestion: null };
		case 'unknownUnit':
			return { message: `has an unknown unit; known here: ${refused.allowed.join(', ')}.`, suggestion: null };
		case 'unknownWord':
			return { message: `is not one of: ${refused.allowed.join(', ')}.`, suggestion: null };
		case 'notPositive':
			return { message: 'must be above zero.', suggestion: null };
		case 'outOfRange':
			return { message: 'is not a believable value here.', suggestion: null };
		case 'slip':
			return { message: `looks like a slip: did you mean ${refused.suggestion}?`, suggestion: refused.suggestion };
	}
}
