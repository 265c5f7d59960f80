import type { FieldError } from '$lib/schemas/field-error';

/** An error the caller can act on; becomes problem+json (RFC 9457). */
export class Problem extends Error {
	constructor(
		readonly status: number,
		readonly title: string,
		readonly errors: FieldError[] = [],
		readonly headers: Record<string, string> = {}
	) {
		super(title);
	}
}

export const notFound = (what: string): Problem => new Problem(404, `There is no such ${what}.`);

export const refuse = (errors: FieldError[]): Problem =>
	new Problem(422, errors.length === 1 ? (errors[0] as FieldError).message : `${errors.length} things are not right.`, errors);

export const refuseField = (path: string, code: string, message: string, suggestion?: string): Problem =>
	refuse([{ path, code, message, ...(suggestion ? { suggestion } : {}) }]);

export function problemResponse(problem: Pick<Problem, 'status' | 'title'> & Partial<Pick<Problem, 'errors' | 'headers'>>): Response {
	return new Response(JSON.stringify({ type: 'about:blank', title: problem.title, status: problem.status, errors: problem.errors ?? [] }), {
		status: problem.status,
		headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store', ...problem.headers }
	});
}
