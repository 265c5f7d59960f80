import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import type { LentScatter } from '../trial/worked-out';
import type { Station } from '../station';

/** Fewer repeats say too little of scatter to be lent. */
export const LEAST_REPEATS = 3;

/**
 * The basis with the scatter that the house spool's repeats lend to spools with a single print or specimen.
 * Whoever uses it says so ("borrowed") and stays thin.
 * Source: house rule; pooling a reference's repeatability is common practice, no source.
 * @example withHouse(basis, house, STATIONS).lent[0] // { quantity: 'overhang', sd: 2.4, df: 3, n: 4, code: 'AB1', ... }
 */
export function withHouse(basis: Basis, house: SpoolEvidence | null, stations: readonly Station[]): Basis {
	return house ? { ...basis, lent: stations.flatMap((s) => s.lends?.(house, basis) ?? []) } : basis;
}

/**
 * The scatter lent to a quantity of a subject (piece or kind of specimen); null when the house has none to lend.
 * @example lentFor(basis, 'overhang', 'piece-1')?.sd // 2.4
 */
export function lentFor(basis: Basis, quantity: string, subject: string | null): LentScatter | null {
	return basis.lent.find((l) => l.quantity === quantity && l.subject === subject) ?? null;
}
