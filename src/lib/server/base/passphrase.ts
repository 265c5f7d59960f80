import { createHash, timingSafeEqual } from 'node:crypto';
import { RateLimiterMemory } from 'rate-limiter-flexible';

const digest = (text: string) => createHash('sha256').update(text).digest();

/** Wrong tries of one address in ten minutes that are answered at once. */
const AT_ONCE = 10;
const WINDOW_S = 600;
/** How long a wrong one waits for its answer after that, and how many may wait at a time. */
const SLOW_MS = 2000;
const MOST_WAITING = 20;

export type Checked = { known: true } | { known: false; retryAfterS: number | null };

/**
 * Checks a passphrase, and slows down whoever guesses. The right one always passes at once, whatever others try: a lock that guesses can
 * close is a lock that guesses can close on its owner. A wrong one is answered late after ten of its address in ten minutes, and not at all
 * when twenty wait already. Each wrong one is logged, without what was typed.
 */
export class PassphraseCheck {
	readonly #expected: Buffer;
	readonly #byAddress = new RateLimiterMemory({ points: AT_ONCE, duration: WINDOW_S });
	readonly #log: (line: string) => void;
	readonly #wait: (ms: number) => Promise<void>;
	#waiting = 0;

	constructor(
		passphrase: string,
		log: (line: string) => void = console.error,
		wait: (ms: number) => Promise<void> = (ms) => new Promise((done) => setTimeout(done, ms))
	) {
		this.#expected = digest(passphrase);
		this.#log = log;
		this.#wait = wait;
	}

	async check(given: string, address: string): Promise<Checked> {
		// Both are as long as a hash, whatever was typed.
		if (timingSafeEqual(digest(given), this.#expected)) {
			await this.#byAddress.delete(address);
			return { known: true };
		}
		const { consumedPoints } = await this.#byAddress.penalty(address);
		this.#log(`draught: wrong passphrase from ${address}, ${consumedPoints} in ten minutes`);
		if (consumedPoints <= AT_ONCE) return { known: false, retryAfterS: null };
		if (this.#waiting >= MOST_WAITING) return { known: false, retryAfterS: SLOW_MS / 1000 };
		this.#waiting += 1;
		await this.#wait(SLOW_MS).finally(() => (this.#waiting -= 1));
		return { known: false, retryAfterS: null };
	}
}
