import type { z } from 'zod';
import { saying } from './field-error';

type Issue = z.core.$ZodRawIssue;

/**
 * What a schema says by itself. Schemas say it better where they know what is meant; this is for the rest, so that no raw message of the
 * schema library reaches anybody.
 */
export function schemaRefusal(issue: Issue): string {
	switch (issue.code) {
		case 'invalid_type':
			return saying('wrongKind', { kind: issue.expected });
		case 'too_big': {
			const most = Number(issue.maximum);
			if (issue.origin === 'string') return saying('tooLong', { most });
			if (issue.origin === 'array' || issue.origin === 'set') return saying('tooManyEntries', { most });
			return issue.inclusive === false ? saying('below', { high: most }) : saying('atMost', { most, unit: '' });
		}
		case 'too_small': {
			const least = Number(issue.minimum);
			if (issue.origin === 'string') return saying('tooShort', { least });
			if (issue.origin === 'array' || issue.origin === 'set') return saying('tooFewEntries', { least });
			return issue.inclusive === false ? saying('above', { low: least }) : saying('atLeast', { least, unit: '' });
		}
		case 'not_multiple_of':
			return saying('multipleOf', { step: Number(issue.divisor) });
		case 'invalid_value':
			return saying('oneOf', { allowed: issue.values.map(String).join(', ') });
		case 'invalid_format':
			return saying('wrongFormat', { format: issue.format });
		case 'unrecognized_keys':
			return saying('unknownFields', { names: issue.keys.slice(0, 5).join(', ') });
		case 'invalid_key':
			return saying('unknownName');
		default:
			return saying('invalid');
	}
}
