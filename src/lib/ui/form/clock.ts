/**
 * The clock of this device against the server's. A phone an hour ahead must not date a reading into the future, and its own time must not
 * be lost: what is made here carries the server's time, and how far this device was off goes along with it.
 */
export class Clock {
	/** This device's time less the server's, ms; null while the server was not heard. */
	#aheadMs: number | null = null;
	/** How uncertain that is: half the way there and back. */
	#withinMs = Infinity;
	readonly #deviceNow: () => number;

	constructor(deviceNow: () => number = Date.now) {
		this.#deviceNow = deviceNow;
	}

	/**
	 * Takes a time of the server into account.
	 * @param serverNow its time while it answered, ms
	 * @param askedAt this device's time when it was asked; a page that came with the time was asked for no later than it began to load
	 */
	heard(serverNow: number, askedAt: number): void {
		const now = this.#deviceNow();
		const within = Math.max(0, now - askedAt) / 2;
		const ahead = (now + askedAt) / 2 - serverNow;
		// A clock that was set meanwhile shows as a jump beyond what either measurement can be wrong by.
		const jumped = this.#aheadMs !== null && Math.abs(ahead - this.#aheadMs) > within + this.#withinMs + SMALL_MS;
		if (within > this.#withinMs && !jumped) return;
		this.#aheadMs = ahead;
		this.#withinMs = within;
	}

	/** How far this device is ahead of the server, ms; 0 where the difference is too small to matter. */
	get aheadMs(): number {
		return this.#aheadMs === null || Math.abs(this.#aheadMs) < SMALL_MS ? 0 : Math.round(this.#aheadMs);
	}

	/** The server's time now, ms. */
	now(): number {
		return this.#deviceNow() - this.aheadMs;
	}
}

/** Clocks that are set by a network differ by less; correcting it would be noise. */
const SMALL_MS = 10_000;

export const clock = new Clock();
