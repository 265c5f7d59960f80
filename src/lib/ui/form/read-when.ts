import type { Chrono } from 'chrono-node/en';

/** What was typed as a time: the moment it means, or why it means none. */
export type WhenRead = { ok: true; at: number } | { ok: false; code: 'notAMoment' | 'future' };

/** A minute on: what is typed as the present minute is not in the future. */
const SLACK_MS = 60_000;

/**
 * A moment as people type it: yesterday 9:00, -2 h, 26 Nov 18:30, last Monday. In the zone of this device, its summer time heeded.
 * @param now ms since 1970
 */
export function readWhen(typed: string, now: number, chrono: Chrono): WhenRead {
	const text = typed.trim();
	const [found, ...others] = chrono.parse(text, new Date(now));
	// Half understood is not understood: the rest may have said another day.
	if (!found || others.length > 0 || found.end || found.text.length !== text.length) return { ok: false, code: 'notAMoment' };
	const at = found.start.date().getTime();
	return at > now + SLACK_MS ? { ok: false, code: 'future' } : { ok: true, at };
}
