import type { CellPrior } from './prior';
import { ASSUMED_SUCCESS, type SuccessPrior } from './success';
import { ASSUMED_WASTE, type WastePrior } from './waste';

/** What a prior is about: null stands for any. The kind is that of the piece (all its versions) or of the test part. */
type Of = { kind: string | null; material: string | null };

/** What the record has taught of one quantity, and by how many cells. */
export type LearntPrior = CellPrior & Of & { quantity: string; cells: number };

/** What the record has taught of the share of prints that finish, and by how many spools. */
export type LearntSuccess = SuccessPrior & Of & { cells: number };

/** What the record has taught of the share that a failed print wastes, and by how many spools that failed. */
export type LearntWaste = WastePrior & { cells: number };

/** What a set says. Of waste nothing where no print of the record failed, or where the set is older than that question. */
export type PriorSetContent = { marks: LearntPrior[]; success: LearntSuccess[]; waste?: LearntWaste | undefined };

/** All that the record has taught at one time. Number 0 is the house's own assumptions: no record yet. */
export type PriorSet = PriorSetContent & { id: string | null; number: number };

/** What holds while the record is silent. */
export const NO_RECORD: PriorSet = { id: null, number: 0, marks: [], success: [] };

/** Most particular first: this kind in this material, this kind, this material, anything. */
const matches = (rows: readonly Of[], { kind, material }: Of) =>
	[
		(row: Of) => row.kind === kind && row.material === material,
		(row: Of) => row.kind === kind && row.material === null,
		(row: Of) => row.kind === null && row.material === material,
		(row: Of) => row.kind === null && row.material === null
	].flatMap((fits) => rows.filter(fits).slice(0, 1))[0];

/**
 * What is expected of a cell before it is looked at: as the record has it for such pieces in such a material, else for such pieces, else for
 * the quantity; what is assumed where the record is silent.
 * @example priorOf(NO_RECORD, { quantity: 'overhang', kind: 'family-1', material: 'PETG' }, assumed).cells // 0
 */
export function priorOf(set: PriorSet, of: Of & { quantity: string }, assumed: CellPrior): CellPrior & { cells: number } {
	const rows = set.marks.filter((row) => row.quantity === of.quantity);
	return (matches(rows, of) as LearntPrior | undefined) ?? { ...assumed, cells: 0 };
}

/**
 * What is expected of the share of prints that finish, found in the same way.
 * @example successPriorOf(NO_RECORD, { kind: null, material: 'PETG' }) // { finished: 3.6, failed: 0.4, cells: 0 }
 */
export function successPriorOf(set: PriorSet, of: Of): SuccessPrior & { cells: number } {
	return (matches(set.success, of) as LearntSuccess | undefined) ?? { ...ASSUMED_SUCCESS, cells: 0 };
}

/**
 * What is expected of the share that a failed print wastes: of whatever print.
 * @example wastePriorOf(NO_RECORD) // { wasted: 1, spared: 1, cells: 0 }
 */
export const wastePriorOf = ({ waste }: PriorSet): LearntWaste => waste ?? { ...ASSUMED_WASTE, cells: 0 };
