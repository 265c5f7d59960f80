import { refusalWords } from '$lib/words/refusals';
import { envelope, type Envelope } from '$lib/core/record/gauge-log/envelope';
import { positionAt } from '$lib/core/record/gauge-log/gauge-log';
import { LogReader } from '$lib/core/record/gauge-log/read-log';
import { MOST_SLICES, type LogLayout } from '$lib/schemas/gauge-log';
import { hereAndNow, newId, send } from '../form/send';

type State = 'starting' | 'measuring' | 'ending' | 'done' | 'refused' | 'cancelled';

/** So much text is sent at once: seconds of a gauge, and a long strand stays under the number of slices. */
const SLICE_BYTES = 128 * 1024;
const LONGEST_WAIT_MS = 5000;
const COLUMNS = 300;

/**
 * A gauge that is measuring now: what it writes goes to the server piece by piece through the door of files, and is drawn as it comes.
 * While the server is away the pieces wait here and are sent again; nothing is stored for good until the gauge stops.
 */
export class LiveLog {
	state = $state<State>('starting');
	/** Pieces that the server does not have yet. */
	waiting = $state(0);
	title = $state('');
	samples = $state(0);
	metres = $state(0);
	picture = $state.raw<Envelope | null>(null);
	#id = newId();
	#reader: LogReader;
	#given: { spoolId: string; instrumentId: string; name: string; layout: LogLayout };
	#text = '';
	#next = 0;
	#queue: Promise<void>;

	constructor(given: { spoolId: string; instrumentId: string; name: string; layout: LogLayout }) {
		this.#given = given;
		this.#reader = new LogReader(given.layout);
		this.#queue = this.#untilKept(() => this.#announce());
	}

	get open(): boolean {
		return this.state === 'starting' || this.state === 'measuring';
	}

	/** Takes what the gauge wrote; lines may be cut anywhere. */
	push(text: string): void {
		if (!this.open) return;
		this.#reader.push(text);
		this.#text += text;
		if (this.#text.length >= SLICE_BYTES && this.#next < MOST_SLICES - 1) this.#flush();
	}

	/** Draws what has come; as often as whoever shows it likes. */
	draw(): void {
		const log = this.#reader.soFar();
		this.samples = log.along.length;
		if (this.samples === 0) return;
		this.metres = positionAt(log.position, this.samples - 1);
		this.picture = envelope(log, positionAt(log.position, 0), this.metres, COLUMNS);
	}

	/** The gauge has stopped: what came is taken in, whole or not at all. */
	async stop(): Promise<boolean> {
		if (!this.open) return false;
		this.draw();
		this.state = 'ending';
		if (this.#text !== '' || this.#next === 0) this.#flush();
		await this.#queue;
		const body = { id: newId(), logId: this.#id, outcome: 'commit', slices: this.#next };
		await this.#untilKept(() => this.#post('log-ends', body));
		if (this.state === 'ending') this.state = 'done';
		return this.state === 'done';
	}

	/** Gives up: what came is forgotten on the server too. */
	async cancel(): Promise<void> {
		this.state = 'cancelled';
		await send('log-ends', { id: newId(), logId: this.#id, outcome: 'cancel' });
	}

	#flush(): void {
		const [position, bytes] = [this.#next++, new Blob([this.#text])];
		this.#text = '';
		this.waiting++;
		this.#queue = this.#queue.then(async () => {
			await this.#untilKept(() => this.#put(position, bytes));
			this.waiting--;
		});
	}

	/** Tries again until the server answers: a measurement cannot be held up, and cannot be repeated. */
	async #untilKept(attempt: () => Promise<'kept' | 'away'>): Promise<void> {
		for (let waitMs = 250; this.state !== 'cancelled' && this.state !== 'refused'; waitMs = Math.min(waitMs * 2, LONGEST_WAIT_MS)) {
			if ((await attempt()) === 'kept') return;
			await new Promise((resolve) => setTimeout(resolve, waitMs));
		}
	}

	async #announce(): Promise<'kept' | 'away'> {
		const { instrumentId, ...given } = this.#given;
		const answer = await this.#post('logs', { id: this.#id, ...given, ...(instrumentId ? { instrumentId } : {}), ...this.#begun });
		if (answer === 'kept' && this.state === 'starting') this.state = 'measuring';
		return answer;
	}
	/** When and where it began; the same in every try. */
	#begun = hereAndNow();

	async #post(path: string, body: object): Promise<'kept' | 'away'> {
		const sent = await send(path, body);
		if (!sent.ok && (sent.status === 0 || sent.status >= 500)) return 'away';
		if (!sent.ok) this.#refuse([sent.title, ...sent.errors.map(refusalWords)].join(' '));
		return 'kept';
	}

	async #put(position: number, bytes: Blob): Promise<'kept' | 'away'> {
		const init = { method: 'PUT', headers: { 'content-type': 'application/octet-stream' }, body: bytes };
		const response = await fetch(`/api/v1/logs/${this.#id}/slices/${position}`, init).catch(() => null);
		if (!response || response.status >= 500) return 'away';
		if (!response.ok) this.#refuse(`The server refused a piece (${response.status}).`);
		return 'kept';
	}

	#refuse(title: string): void {
		this.title = title;
		if (this.state !== 'cancelled') this.state = 'refused';
	}
}
