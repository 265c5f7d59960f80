import type { LentScatter, Protocol, SpoolEvidence } from '../evidence';
import type { Station } from '../station';

/** Fewer repeats say too little of scatter to be lent. */
export const LEAST_REPEATS = 3;

/**
 * The protocol with the scatter that the house spool's repeats lend to spools with a single print or specimen.
 * Whoever uses it says so ("borrowed") and stays thin.
 * Source: house rule; pooling a reference's repeatability is common practice, no source.
 * @example withHouse(protocol, house, STATIONS).lent[0] // { quantity: 'overhang', sd: 2.4, df: 3, n: 4, code: 'AB1', ... }
 */
export function withHouse(protocol: Protocol, house: SpoolEvidence | null, stations: readonly Station[]): Protocol {
	return house ? { ...protocol, lent: stations.flatMap((s) => s.lends?.(house, protocol) ?? []) } : protocol;
}

/**
 * The scatter lent to a quantity of a subject (piece or kind of specimen); null when the house has none to lend.
 * @example lentFor(protocol, 'overhang', 'piece-1')?.sd // 2.4
 */
export function lentFor(protocol: Protocol, quantity: string, subject: string | null): LentScatter | null {
	return protocol.lent.find((l) => l.quantity === quantity && l.subject === subject) ?? null;
}
