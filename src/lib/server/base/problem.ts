import type { None } from '$lib/core/judging/finding/none';
import { fieldError, type FieldError, type RefusalRest } from '$lib/schemas/field-error';
import type { Addressed, ProblemCode, ProblemParams, ProblemSaid } from '$lib/schemas/problems';
import type { RefusalCode } from '$lib/schemas/refusals';
import { problemWords } from '$lib/words/problems';
import { refusalWords } from '$lib/words/refusals';

type Rest<C extends ProblemCode> = ProblemParams[C] extends None
	? [params?: None, errors?: FieldError[], headers?: Record<string, string>]
	: [params: ProblemParams[C], errors?: FieldError[], headers?: Record<string, string>];

/** An error the caller can act on; becomes problem+json (RFC 9457). */
export class Problem extends Error {
	constructor(
		readonly status: number,
		readonly said: ProblemSaid,
		readonly errors: FieldError[],
		readonly headers: Record<string, string>
	) {
		super(said.code);
	}

	/** In words, for those who read the answer itself; pages tell it from its code. */
	get title(): string {
		const [only, ...others] = this.errors;
		return this.said.code === 'refused' && only && others.length === 0 ? refusalWords(only) : problemWords(this.said);
	}
}

/**
 * A problem by its code, with what its sentence needs.
 * @example problem(413, 'tooLarge', { mostKB: 256 })
 */
export function problem<C extends ProblemCode>(status: number, code: C, ...[params, errors = [], headers = {}]: Rest<C>): Problem {
	return new Problem(status, { code, params: params ?? {} } as ProblemSaid, errors, headers);
}

export const notFound = (what: Addressed): Problem => problem(404, 'notFound', { what });

export const refuse = (errors: FieldError[]): Problem => problem(422, 'refused', { count: errors.length }, errors);

/** Refuses for one error at one field. */
export const refuseField = <C extends RefusalCode>(path: string, code: C, ...rest: RefusalRest<C>): Problem =>
	refuse([fieldError(path, code, ...rest)]);

export function problemResponse({ status, said, title, errors, headers }: Problem): Response {
	const told = errors.map((error) => ({ ...error, message: refusalWords(error) }));
	return new Response(JSON.stringify({ type: 'about:blank', title, status, ...said, errors: told }), {
		status,
		headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store', ...headers }
	});
}
