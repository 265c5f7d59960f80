import type { z } from 'zod';
import type { FieldError } from './field-error';

export type Read<T> = { ok: true; value: T } | { ok: false; errors: FieldError[] };

/** The one door: checks unknown input against a schema and says what is wrong at which field. */
export function read<S extends z.ZodType>(schema: S, input: unknown): Read<z.output<S>> {
	const parsed = schema.safeParse(input);
	if (parsed.success) return { ok: true, value: parsed.data };
	return {
		ok: false,
		errors: parsed.error.issues.map((issue) => ({
			path: issue.path.map(String).join('.') || 'body',
			code: issue.code === 'invalid_type' && issue.input === undefined ? 'missing' : issue.code,
			message: issue.code === 'invalid_type' && issue.input === undefined ? 'is missing' : issue.message
		}))
	};
}
