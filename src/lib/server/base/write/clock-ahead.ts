import { AsyncLocalStorage } from 'node:async_hooks';

const store = new AsyncLocalStorage<number>();

/** A year either way: beyond it a clock is not off but unset, and the number says nothing. */
const MOST_MS = 366 * 86_400_000;

/** How far the sender says its own clock is ahead of the server's, ms; 0 where it says nothing. */
export function saidAheadMs(request: Request): number {
	const said = request.headers.get('x-clock-ahead-ms');
	return said !== null && /^-?\d{1,13}$/.test(said) ? Number(said) : 0;
}

/**
 * Runs a write of a request with what its sender says of its clock. The moments in the body are in the server's time already; how far the
 * sender's own clock was off is kept with the write, so that its own time can be told. It belongs to every write and to no body, so it
 * goes along beside the arguments.
 */
export function withClockAhead<T>(request: Request, write: () => Promise<T>): Promise<T> {
	const ahead = saidAheadMs(request);
	return ahead === 0 || Math.abs(ahead) > MOST_MS ? write() : store.run(ahead, write);
}

/** How far the clock of whoever sent the present write is ahead of the server's, ms; null where it is right or nothing was said. */
export const clockAheadMs = (): number | null => store.getStore() ?? null;
