import { createHash, timingSafeEqual } from 'node:crypto';
import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';

const digest = (text: string) => createHash('sha256').update(text).digest();

/** Wrong tries that are let through in ten minutes: of one address, and of all together. */
const MOST = { address: 10, all: 60 };
const WINDOW_S = 600;

export type Checked = { known: true } | { known: false; retryAfterS: number | null };

/**
 * Checks a passphrase, and slows down whoever guesses: after ten wrong ones of an address, or sixty of all, in ten minutes none is looked
 * at any more until the time is over. Each wrong one is logged, without what was typed. Who is logged in already is not touched.
 */
export class PassphraseCheck {
	readonly #expected: Buffer;
	readonly #byAddress = new RateLimiterMemory({ points: MOST.address, duration: WINDOW_S });
	readonly #all = new RateLimiterMemory({ points: MOST.all, duration: WINDOW_S });
	readonly #log: (line: string) => void;

	constructor(passphrase: string, log: (line: string) => void = console.error) {
		this.#expected = digest(passphrase);
		this.#log = log;
	}

	async check(given: string, address: string): Promise<Checked> {
		const spent = [await this.#byAddress.get(address), await this.#all.get('all')];
		const used = (r: RateLimiterRes | null | undefined) => r?.consumedPoints ?? 0;
		const wait = spent.find((r, i) => used(r) >= (i === 0 ? MOST.address : MOST.all));
		if (wait) return { known: false, retryAfterS: Math.ceil(wait.msBeforeNext / 1000) };
		// Both are as long as a hash, whatever was typed.
		if (timingSafeEqual(digest(given), this.#expected)) {
			await this.#byAddress.delete(address);
			return { known: true };
		}
		const now = await this.#byAddress.penalty(address);
		await this.#all.penalty('all');
		this.#log(`draught: wrong passphrase from ${address}, ${now.consumedPoints} of ${MOST.address} in ten minutes`);
		return { known: false, retryAfterS: null };
	}
}
