import { v7 } from 'uuid';
import type { FieldError } from '$lib/schemas/field-error';
import { clock } from './clock';

export type Sent<T> = { ok: true; answer: T } | { ok: false; status: number; title: string; errors: FieldError[] };

/** The id of a thing made here and now. */
export const newId = (): string => v7();

/** When and where: every record carries both. */
export function hereAndNow(): { at: string; zone: string } {
	return { at: new Date(clock.now()).toISOString(), zone: zoneHere() };
}

export function zoneHere(): string {
	return Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
}

/** What is said when an answer was lost: the server may have stored it, and the same press again finds out. */
export const NOT_KNOWN = 'It is not known whether this was saved. Press again; nothing doubles.';

/** Posts to the API. An answer that did not come, or not whole, is told apart from a refusal: status 0. */
export async function send<T>(path: string, body: unknown, aheadMs = clock.aheadMs): Promise<Sent<T>> {
	const unanswered = { ok: false, status: 0, title: NOT_KNOWN } as const;
	let response: Response;
	const askedAt = Date.now();
	try {
		response = await fetch(`/api/v1/${path}`, {
			method: 'POST',
			// How far this device's own clock was off goes along, so that its own time is not lost.
			headers: { 'content-type': 'application/json', ...(aheadMs === 0 ? {} : { 'x-clock-ahead-ms': String(aheadMs) }) },
			body: JSON.stringify(body)
		});
	} catch {
		return { ...unanswered, errors: [] };
	}
	const serverNow = Number(response.headers.get('x-server-now') ?? NaN);
	if (Number.isFinite(serverNow)) clock.heard(serverNow, askedAt);
	const answer: unknown = await response.json().catch(() => undefined);
	if (response.ok) return answer === undefined ? { ...unanswered, errors: [] } : { ok: true, answer: answer as T };
	const problem = (answer ?? {}) as { title?: string; errors?: FieldError[] };
	return {
		ok: false,
		status: response.status,
		title: problem.title ?? `The server answered ${response.status}.`,
		errors: problem.errors ?? []
	};
}
