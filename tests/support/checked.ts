import { v7 } from 'uuid';
import type { FieldError } from '../../src/lib/schemas/field-error';
import { read } from '../../src/lib/schemas/read';
import { Problem, refuse } from '../../src/lib/server/base/problem';

/** A body as a route would take it, with an id of its own. */
export function checked<S extends Parameters<typeof read>[0]>(schema: S, input: object) {
	const parsed = read(schema, { id: v7(), ...input });
	if (!parsed.ok) throw refuse(parsed.errors);
	return parsed.value;
}
/** The errors something is refused with; an error of the test if it is not refused. */
export async function errorsOf(work: () => unknown): Promise<FieldError[]> {
	try {
		await work();
	} catch (error) {
		if (error instanceof Problem) return error.errors;
		throw error;
	}
	throw new Error('was not refused');
}
