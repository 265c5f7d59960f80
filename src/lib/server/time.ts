import { refuseField } from './problem';

/** Bench clocks may be a little ahead of ours. */
const AHEAD_MS = 5 * 60_000;

/** An instant from the wire as epoch milliseconds. The future is refused: nothing was measured yet. */
export function pastInstant(iso: string, now: number, path: string): number {
	const at = Date.parse(iso);
	if (at > now + AHEAD_MS) throw refuseField(path, 'future', 'lies in the future');
	return at;
}
