import { expose } from 'comlink';
import { blocksOf, pickFrom } from '$lib/core/answers/pick/pick-from';
import { PICK_SEED } from '$lib/core/answers/pick/seed';
import type { Picked, PickInput } from '$lib/core/answers/pick/types';

/** A thin shell: draws run here, off the page's thread. */
const pickWorker = {
	pick: (input: PickInput, draws: number, onProgress?: (share: number) => void): Picked =>
		pickFrom(input, blocksOf(input, draws, PICK_SEED), (done) => onProgress?.(done / draws))
};

export type PickWorker = typeof pickWorker;

expose(pickWorker);
