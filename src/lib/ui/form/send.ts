import { v7 } from 'uuid';
import type { FieldError } from '$lib/schemas/field-error';

export type Sent<T> = { ok: true; answer: T } | { ok: false; status: number; title: string; errors: FieldError[] };

/** The id of a thing made here and now. */
export const newId = (): string => v7();

/** When and where: every record carries both. */
export function hereAndNow(): { at: string; zone: string } {
	return { at: new Date().toISOString(), zone: zoneHere() };
}

export function zoneHere(): string {
	return Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
}

/** Posts to the API. No answer at all is told apart from a refusal: status 0. */
export async function send<T>(path: string, body: unknown): Promise<Sent<T>> {
	let response: Response;
	try {
		response = await fetch(`/api/v1/${path}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
	} catch {
		return { ok: false, status: 0, title: 'The server does not answer. Nothing was stored; what you typed is still here.', errors: [] };
	}
	const answer: unknown = await response.json().catch(() => null);
	if (response.ok) return { ok: true, answer: answer as T };
	const problem = (answer ?? {}) as { title?: string; errors?: FieldError[] };
	return {
		ok: false,
		status: response.status,
		title: problem.title ?? `The server answered ${response.status}.`,
		errors: problem.errors ?? []
	};
}
