import { expose } from 'comlink';
import { rankAcceptability } from '$lib/core/pick/rank-acceptability';

/** A thin shell: draws run here, off the page's thread. */
const pickWorker = { rankAcceptability };

export type PickWorker = typeof pickWorker;

expose(pickWorker);
