import type { z } from 'zod';
import { fieldError, type FieldError, refusalIn } from './field-error';
import { schemaRefusal } from './schema-refusal';

export type Read<T> = { ok: true; value: T } | { ok: false; errors: FieldError[] };

/** The one door: checks unknown input against a schema and says what is wrong at which field. */
export function read<S extends z.ZodType>(schema: S, input: unknown): Read<z.output<S>> {
	const parsed = schema.safeParse(input, { error: schemaRefusal });
	if (parsed.success) return { ok: true, value: parsed.data };
	return {
		ok: false,
		errors: parsed.error.issues.map((issue) => {
			const absent = issue.code === 'invalid_type' && (valueAt(input, issue.path) ?? null) === null;
			const path = issue.path.map(String).join('.') || 'body';
			return absent ? fieldError(path, 'missing') : { path, ...refusalIn(issue.message) };
		})
	};
}

/** The fields of a refused body that pass by themselves: what else is wrong with it is looked for in these. */
export function readableFields<S extends z.ZodObject>(schema: S, input: unknown): Partial<z.output<S>> {
	const given = (input ?? {}) as Record<string, unknown>;
	const fields = Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([name, field]) => {
		const read = field.safeParse(given[name]);
		return read.success ? [[name, read.data] as const] : [];
	});
	return Object.fromEntries(fields) as Partial<z.output<S>>;
}

function valueAt(input: unknown, path: readonly PropertyKey[]): unknown {
	return path.reduce<unknown>((value, key) => (value as Record<PropertyKey, unknown> | null | undefined)?.[key], input);
}
