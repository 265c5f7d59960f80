import { proxy, wrap, type Remote } from 'comlink';
import type { Chances, PickInput } from '$lib/core/pick/types';
import type { PickWorker } from '$lib/workers/pick.worker';

const FEW = 2000;
const MANY = 20_000;
/** The same draws on every visit: a chance must not flicker. */
const SEED = 20260301;

/**
 * Chances of the places, drawn in a worker. A new question cancels the one before by ending its worker; a few draws answer at
 * once, many follow and replace them.
 */
export class Draws {
	chances = $state.raw<Chances | null>(null);
	progress = $state(0);
	#worker: Worker | null = null;

	async ask(input: PickInput): Promise<void> {
		this.stop();
		const worker = new Worker(new URL('../../workers/pick.worker.ts', import.meta.url), { type: 'module' });
		this.#worker = worker;
		const remote: Remote<PickWorker> = wrap<PickWorker>(worker);
		this.progress = 0;
		const few = await remote.rankAcceptability(input, FEW, SEED);
		if (this.#worker !== worker) return;
		this.chances = few;
		const many = await remote.rankAcceptability(
			input,
			MANY,
			SEED,
			proxy((share: number) => {
				if (this.#worker === worker) this.progress = share;
			})
		);
		if (this.#worker !== worker) return;
		this.chances = many;
		this.stop();
	}

	stop(): void {
		this.#worker?.terminate();
		this.#worker = null;
		this.progress = 1;
	}
}
