import type { FactEntries } from './fact-entry';

/** What is said of an instrument; what it measures is never said anew. */
export const INSTRUMENT_FACTS = {
	name: { kind: 'name' },
	errorLimit: { kind: 'limit' },
	resolution: { kind: 'limit' }
} as const satisfies FactEntries;
