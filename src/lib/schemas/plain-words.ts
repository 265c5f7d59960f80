import type { z } from 'zod';

type Issue = z.core.$ZodRawIssue;

const KINDS: Record<string, string> = {
	string: 'text',
	number: 'a number',
	int: 'a whole number',
	boolean: 'yes or no',
	array: 'a list',
	tuple: 'a list',
	object: 'an object',
	record: 'an object',
	date: 'a date'
};

const size = (origin: unknown, n: unknown): string => {
	if (origin === 'string') return `${String(n)} characters long`;
	if (origin === 'array' || origin === 'set') return `${String(n)} entries long`;
	return String(n);
};

/**
 * What a schema says by itself, in words a person can use. Schemas say it better where they know what is meant; this is for the rest, so
 * that no raw message of the schema library reaches anybody.
 */
export function plainWords(issue: Issue): string {
	switch (issue.code) {
		case 'invalid_type':
			return `must be ${KINDS[issue.expected] ?? issue.expected}`;
		case 'too_big':
			return `must be at most ${size(issue.origin, issue.maximum)}`;
		case 'too_small':
			return issue.inclusive === false ? `must be above ${String(issue.minimum)}` : `must be at least ${size(issue.origin, issue.minimum)}`;
		case 'not_multiple_of':
			return `must be a multiple of ${String(issue.divisor)}`;
		case 'invalid_value':
			return `must be one of ${issue.values.map(String).join(', ')}`;
		case 'invalid_format':
			return issue.format === 'base64' ? 'must be base64' : 'is not written as it must be';
		case 'unrecognized_keys':
			return `has fields that are not known here: ${issue.keys.slice(0, 5).join(', ')}`;
		case 'invalid_key':
			return 'has a name that is not known here';
		default:
			return 'is not right';
	}
}
