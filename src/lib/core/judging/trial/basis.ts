import type { BenchFacts } from './bench-facts';
import type { Protocol } from './protocol';
import type { WorkedOut } from './worked-out';

/** All that a spool is judged by: what was set, what the workshop knows, and what is worked out from the spools. */
export type Basis = Protocol & BenchFacts & WorkedOut;
