import { Form } from '../form/form.svelte';
import { putSlices, slicesOf } from '../form/put-slices';
import { newId } from '../form/send';

/** How a restore stands, as the server tells it. */
type Status = {
	id: string;
	state: 'running' | 'done' | 'failed';
	step: 'reading' | 'keeping' | 'loading' | 'checking' | 'replacing';
	part: number;
	kept: string | null;
	said: string | null;
};

const ASK_MS = 700;

/** A backup by its name on the server or a file of the tester's, and how it is called on the page. */
type Chosen = { name: string; told: string; file: File | null };

/** One restore from the page: chosen, asked about, sent if it is a file, and watched to its end. */
export class Restoring {
	/** What was chosen and waits for the tester's yes. */
	chosen = $state.raw<Chosen | null>(null);
	/** What of the file has arrived, 0 to 1; null while none is sent. */
	sent = $state<number | null>(null);
	broken = $state(false);
	status = $state.raw<Status | null>(null);
	readonly form = new Form();
	/** Of what is chosen now: pressed again after a lost answer it is the same restore. */
	#id = '';

	constructor(last: Status | null) {
		// One that was begun on another page or device is watched here too.
		if (last?.state === 'running') {
			this.status = last;
			void this.#watch(last.id);
		}
	}

	get busy(): boolean {
		return this.sent !== null || this.form.busy || this.status?.state === 'running';
	}

	choose(chosen: Chosen): void {
		this.chosen = chosen;
		this.#id = newId();
		this.status = null;
		this.broken = false;
		this.form.clear();
	}

	async start(): Promise<void> {
		const { chosen } = this;
		if (!chosen || this.busy) return;
		const id = this.#id;
		if (chosen.file) {
			this.broken = false;
			const all = await putSlices(chosen.file, `/api/v1/restores/${id}/slices`, { progress: (share) => (this.sent = share) });
			this.sent = null;
			if (!all) {
				this.broken = true;
				return;
			}
		}
		const what = chosen.file ? { slices: slicesOf(chosen.file) } : { kept: chosen.name };
		const begun = await this.form.send<Status>('restores', { ...what, id });
		if (!begun.ok) return;
		this.chosen = null;
		this.status = begun.answer;
		await this.#watch(id);
	}

	async #watch(id: string): Promise<void> {
		while (this.status?.state === 'running') {
			await new Promise((resolve) => setTimeout(resolve, ASK_MS));
			const response = await fetch(`/api/v1/restores/${id}`).catch(() => null);
			if (response?.ok) this.status = (await response.json()) as Status;
		}
	}
}
