import type { ParamFault } from '$lib/core/pieces/library';
import type { FieldError } from '$lib/schemas/field-error';

/** A fault of sizes as an error at its field. */
export function paramError({ param, reason, low, high }: ParamFault): FieldError {
	const words = {
		missing: 'is missing',
		outOfRange: `must be ${low} to ${high}`,
		notBelow: 'lies on the wrong side of the first step',
		tooFew: 'leaves fewer than two steps',
		tooMany: 'does not fit with the other sizes'
	};
	return { path: `params.${param}`, code: reason, message: words[reason] };
}
