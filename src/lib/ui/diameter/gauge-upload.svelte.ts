import type { FieldError } from '$lib/schemas/field-error';
import type { LogLayout } from '$lib/schemas/gauge-log';
import { putSlices, slicesOf } from '../form/put-slices';
import { hereAndNow, newId, send } from '../form/send';

const isUnanswered = (status: number): boolean => status === 0 || status >= 500;

type State = 'idle' | 'sending' | 'broken' | 'reading' | 'done' | 'refused' | 'cancelled';

/**
 * One gauge file on its way: slice by slice, so that a lost connection costs one slice. What arrived stays on the server until it is taken
 * or given up, and the same file chosen again goes on where it broke off.
 */
export class GaugeUpload {
	state = $state<State>('idle');
	share = $state(0);
	errors = $state.raw<FieldError[]>([]);
	title = $state('');
	#logId: string | null = null;
	#endId = newId();
	#stopped = false;

	get busy(): boolean {
		return this.state === 'sending' || this.state === 'reading';
	}

	async start(file: File, given: { spoolId: string; instrumentId: string; layout: LogLayout }): Promise<boolean> {
		this.#stopped = false;
		this.errors = [];
		this.title = '';
		this.state = 'sending';
		const slices = slicesOf(file);
		const { spoolId, instrumentId, layout } = given;
		const key = `draught-log ${spoolId} ${file.name} ${file.size} ${file.lastModified} ${JSON.stringify(layout)}`;
		const before = await this.#resume(key);
		if (before === 'committed') return this.#done(key);
		if (!before) {
			// Known from the first try on: an announcement whose answer was lost is found again instead of made twice.
			const id = localStorage.getItem(key) ?? newId();
			localStorage.setItem(key, id);
			const body = {
				id,
				spoolId,
				name: file.name.slice(0, 120),
				slices,
				layout,
				...(instrumentId ? { instrumentId } : {}),
				...hereAndNow()
			};
			const sent = await send('logs', body);
			if (!sent.ok && isUnanswered(sent.status)) return this.#break();
			if (!sent.ok) {
				localStorage.removeItem(key);
				return this.#fail(sent.title, sent.errors);
			}
			this.#logId = id;
		}
		const sent = await putSlices(file, `/api/v1/logs/${this.#logId}/slices`, {
			there: before ?? [],
			stopped: () => this.#stopped,
			progress: (share) => (this.share = share)
		});
		if (!sent) return this.#stopped ? false : this.#break();
		this.state = 'reading';
		const ended = await send('log-ends', { id: this.#endId, logId: this.#logId, outcome: 'commit' });
		if (!ended.ok && isUnanswered(ended.status)) return this.#break();
		if (!ended.ok) {
			await this.#forget();
			localStorage.removeItem(key);
			return this.#fail(ended.title, ended.errors);
		}
		return this.#done(key);
	}

	#done(key: string): true {
		localStorage.removeItem(key);
		this.#endId = newId();
		this.state = 'done';
		return true;
	}

	/** Not known how far it came: the same file chosen again goes on from there. */
	#break(): false {
		this.state = 'broken';
		return false;
	}

	/** Gives up: what arrived is forgotten on the server too. */
	async cancel(): Promise<void> {
		this.#stopped = true;
		this.state = 'cancelled';
		await this.#forget();
	}

	async #forget(): Promise<void> {
		if (this.#logId) await send('log-ends', { id: newId(), logId: this.#logId, outcome: 'cancel' });
		this.#logId = null;
		this.#endId = newId();
	}

	#fail(title: string, errors: FieldError[]): false {
		this.title = title;
		this.errors = errors;
		this.state = 'refused';
		return false;
	}

	/** Slices of this very file that are there from an earlier try, or that it was taken in, unheard; null when there was none. */
	async #resume(key: string): Promise<number[] | 'committed' | null> {
		const id = localStorage.getItem(key);
		if (!id) return null;
		const response = await fetch(`/api/v1/logs/${id}`).catch(() => null);
		const found = response?.ok ? ((await response.json()) as { committed: boolean; received: number[] }) : null;
		if (!found) return null;
		if (found.committed) return 'committed';
		this.#logId = id;
		return found.received;
	}
}
