import type { ParamFault } from '$lib/core/judging/pieces/library/library';
import { type FieldError, fieldError } from './field-error';

/** A fault of sizes as an error at its field. */
export function paramError(fault: ParamFault): FieldError {
	const path = `params.${fault.param}`;
	switch (fault.reason) {
		case 'missing':
			return fieldError(path, 'missing');
		case 'outOfRange':
			return fieldError(path, 'sizeOutOfRange', { low: fault.low, high: fault.high });
		case 'notBelow':
			return fieldError(path, 'stepNotBelow');
		case 'tooFew':
			return fieldError(path, 'stepsTooFew');
		case 'tooMany':
			return fieldError(path, 'sizesDoNotFit');
	}
}
