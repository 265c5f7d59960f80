import { hereAndNow, newId, send, type Sent } from './send';

/**
 * One thing being entered: its id and moment are made once and stay through retries, so that a send that was kept but whose
 * answer got lost is not kept twice. A refused body was not stored, so the corrected one starts anew.
 */
export class Submission {
	#identity = { id: newId(), ...hereAndNow() };
	#tried = false;

	async send<T>(path: string, body: Record<string, unknown>): Promise<Sent<T>> {
		if (!this.#tried) this.renew();
		this.#tried = true;
		const sent = await send<T>(path, { ...this.#identity, ...body });
		const unanswered = !sent.ok && (sent.status === 0 || sent.status >= 500);
		if (!unanswered) this.renew();
		return sent;
	}

	renew(): void {
		this.#identity = { id: newId(), ...hereAndNow() };
		this.#tried = false;
	}
}
