import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import type { BorrowedScatter } from '../trial/worked-out';
import type { Station } from '../station';

/** Fewer repeats say too little of scatter to be borrowed. */
export const LEAST_REPEATS = 3;

/**
 * The basis with the scatter that the house spool's repeats lend to spools with a single print or specimen.
 * Whoever uses it says so ("borrowed") and stays thin.
 * Source: house rule; pooling a reference's repeatability is common practice, no source.
 * @example withHouse(basis, house, STATIONS).borrowed[0] // { quantity: 'overhang', sd: 2.4, df: 3, n: 4, code: 'AB1', ... }
 */
export function withHouse(basis: Basis, house: SpoolEvidence | null, stations: readonly Station[]): Basis {
	return house ? { ...basis, borrowed: stations.flatMap((s) => s.scatterToBorrow?.(house, basis) ?? []) } : basis;
}

/**
 * The scatter lent to a quantity of a subject (piece or kind of specimen); null when the house has none to lend.
 * @example borrowedScatter(basis, 'overhang', 'piece-1')?.sd // 2.4
 */
export function borrowedScatter(basis: Basis, quantity: string, subject: string | null): BorrowedScatter | null {
	return basis.borrowed.find((l) => l.quantity === quantity && l.subject === subject) ?? null;
}
