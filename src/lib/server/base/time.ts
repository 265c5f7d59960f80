import { refuseField } from './problem';

/** Bench clocks may be a little ahead of ours. */
const AHEAD_MS = 5 * 60_000;

/** Whether an instant lies ahead of now by more than a bench clock may. */
export const isFuture = (at: number, now: number): boolean => at > now + AHEAD_MS;

/** An instant from the wire as epoch milliseconds. The future is refused: nothing was measured yet. */
export function pastInstant(iso: string, now: number, path: string): number {
	const at = Date.parse(iso);
	if (isFuture(at, now)) throw refuseField(path, 'future');
	return at;
}
