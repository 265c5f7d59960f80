import { expose } from 'comlink';
import { betweenSpools } from '$lib/core/stations/diameter/between-spools';

/** A thin shell: many pairs of spools are compared here, off the page's thread. */
const diameterWorker = { betweenSpools };

export type DiameterWorker = typeof diameterWorker;

expose(diameterWorker);
