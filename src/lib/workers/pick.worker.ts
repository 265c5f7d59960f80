import { expose } from 'comlink';
import { chances } from '$lib/core/pick/chances';

/** A thin shell: draws run here, off the page's thread. */
const pickWorker = { chances };

export type PickWorker = typeof pickWorker;

expose(pickWorker);
