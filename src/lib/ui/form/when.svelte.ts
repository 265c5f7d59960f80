import { fieldError, type FieldError } from '$lib/schemas/field-error';
import type { Chrono } from 'chrono-node/en';
import { clock } from './clock';
import { readWhen, type WhenRead } from './read-when';
import { zoneHere } from './send';

/**
 * When something happened that is entered on this page: now, unless the tester says otherwise. What was said stays in sight and holds until it is put
 * back to now or the page is left, so that yesterday's notes can be entered one after the other.
 */
export class When {
	open = $state(false);
	typed = $state('');
	#chrono = $state.raw<Chrono | null>(null);

	/** Whether what is entered happens now. */
	readonly isNow = $derived.by(() => !this.open || this.typed.trim() === '');

	/**
	 * Opens the field. What reads dates is fetched only now, for it is larger than most pages; the field waits for it, so that nobody who is quick is told
	 * that a good time is none.
	 */
	async unfold(): Promise<void> {
		if (!this.#chrono) {
			const { casual, GB } = await import('chrono-node/en');
			// Elsewhere the day comes before the month.
			this.#chrono = Intl.DateTimeFormat().resolvedOptions().locale === 'en-US' ? casual : GB;
		}
		this.open = true;
	}

	backToNow(): void {
		this.open = false;
		this.typed = '';
	}

	/** What is typed, read; null for now. */
	read(now = clock.now()): WhenRead | null {
		if (this.isNow) return null;
		return this.#chrono ? readWhen(this.typed, now, this.#chrono) : { ok: false, code: 'notAMoment' };
	}

	/** Why what is typed is no time that has been. */
	refusal(path = 'when'): FieldError | null {
		const read = this.read();
		return read && !read.ok ? fieldError(path, read.code) : null;
	}

	/** The moment meant, ms; now where none is said or none is understood. */
	at(): number {
		const read = this.read();
		return read?.ok ? read.at : clock.now();
	}

	/** The moment and the zone, as every record carries them. */
	moment(): { at: string; zone: string } {
		return { at: new Date(this.at()).toISOString(), zone: zoneHere() };
	}
}
