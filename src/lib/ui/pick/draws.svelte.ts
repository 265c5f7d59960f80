import { PICK_DRAWS } from '$lib/core/answers/pick/seed';
import { proxy, wrap, type Remote } from 'comlink';
import type { Picked, PickInput } from '$lib/core/answers/pick/types';
import type { PickWorker } from '$lib/workers/pick.worker';

/** The pick by many draws, made in a worker. A new question cancels the one before by ending its worker. */
export class Draws {
	picked = $state.raw<{ of: PickInput; by: Picked } | null>(null);
	progress = $state(0);
	#worker: Worker | null = null;

	async ask(input: PickInput): Promise<void> {
		this.stop();
		const worker = new Worker(new URL('../../workers/pick.worker.ts', import.meta.url), { type: 'module' });
		this.#worker = worker;
		const remote: Remote<PickWorker> = wrap<PickWorker>(worker);
		this.progress = 0;
		const by = await remote.pick(
			input,
			PICK_DRAWS,
			proxy((share: number) => {
				if (this.#worker === worker) this.progress = share;
			})
		);
		if (this.#worker !== worker) return;
		this.picked = { of: input, by };
		this.stop();
	}

	stop(): void {
		this.#worker?.terminate();
		this.#worker = null;
		this.progress = 1;
	}
}
