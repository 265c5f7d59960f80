import { nth } from '../../kernel/lists/nth';
import { group } from 'd3-array';
import { learnPrior } from './learn';
import type { CellPrior } from './prior';
import type { LearntPrior, LearntSuccess, PriorSetContent } from './prior-set';
import type { RecordCell } from './record-cell';
import { observedOn } from './scale';
import { ASSUMED_SUCCESS, learnSuccess, type SuccessPrior } from './success';
import { learnWaste } from './waste';

/** Prints of one spool on one kind of piece, as the share that finishes is learnt from them; of each failure the share that was laid down, 0 to 1. */
export type SuccessCell = { kind: string; material: string; finished: number; failed: number; reached: number[] };

/**
 * All that a record teaches. Of each quantity all cells together; each kind of piece or part, starting from what the other kinds have taught, for its
 * scatter; each material of a kind, starting from what the others have taught, for where its spools lie. Of success likewise.
 * Source: `learn.ts`, `success.ts`; the order from the general to the particular is a house rule. Of the
 * share that failures waste all kinds and materials together: failures are few.
 * @param cells marks, words, counts, loads and own measures of the record
 * @param prints prints finished and failed, one cell a spool and kind of piece
 * @example learnSet([], []) // { marks: [], success: [] }
 */
export function learnSet(cells: readonly RecordCell[], prints: readonly SuccessCell[]): PriorSetContent {
	const byQuantity = group(cells, (c) => c.quantity);
	return {
		marks: [...byQuantity].sort(byName).flatMap(([quantity, of]) => learnQuantity(quantity, of)),
		success: learnSuccesses(prints),
		...wasteOf(prints)
	};
}

function wasteOf(prints: readonly SuccessCell[]): Pick<PriorSetContent, 'waste'> {
	const failing = prints.filter((p) => p.reached.length > 0);
	return failing.length === 0 ? {} : { waste: { ...learnWaste(failing.map((p) => p.reached)), cells: failing.length } };
}

const byName = ([a]: [string, unknown], [b]: [string, unknown]) => (a < b ? -1 : 1);

/** Observations of cells on the scale of their model. */
const onModel = (cells: readonly RecordCell[]) => cells.map((c) => c.observed.map((o) => observedOn(c.model.scale, o, c.model.floor)));

/** The cells of some kind, and all others. */
const parted = <T>(cells: readonly T[], by: (cell: T) => string): { name: string; of: T[]; others: T[] }[] =>
	[...group(cells, by)].sort(byName).map(([name, of]) => ({ name, of, others: cells.filter((c) => by(c) !== name) }));

function learnQuantity(quantity: string, cells: readonly RecordCell[]): LearntPrior[] {
	const assumed = nth(cells, 0).model.assumed;
	const row = (kind: string | null, material: string | null, of: readonly RecordCell[], prior: CellPrior): LearntPrior => ({
		quantity,
		kind,
		material,
		cells: of.length,
		...prior
	});
	/** What the others have taught stands at the start; a cell is never used twice. */
	const starting = (others: readonly RecordCell[], from: CellPrior) => learnPrior(onModel(others), from);
	const all = learnPrior(onModel(cells), assumed);
	/** Where the spools of each material lie; how single values scatter is no matter of the material. */
	const ofMaterials = (kind: string | null, of: readonly RecordCell[], start: CellPrior, { scatter }: CellPrior) =>
		parted(of, (c) => c.material).map(({ name, of: some, others }) =>
			row(kind, name, some, { scatter, mean: learnPrior(onModel(some), starting(others, start)).mean })
		);
	const kinds = parted(
		cells.filter((c) => c.kind !== null),
		(c) => c.kind ?? ''
	).flatMap(({ name, of }) => {
		const start = starting(
			cells.filter((c) => c.kind !== name),
			assumed
		);
		const ofKind = learnPrior(onModel(of), start);
		return [row(name, null, of, ofKind), ...ofMaterials(name, of, start, ofKind)];
	});
	return [row(null, null, cells, all), ...ofMaterials(null, cells, assumed, all), ...kinds];
}

function learnSuccesses(prints: readonly SuccessCell[]): LearntSuccess[] {
	if (prints.length === 0) return [];
	const row = (kind: string | null, material: string | null, of: readonly SuccessCell[], prior: SuccessPrior): LearntSuccess => ({
		kind,
		material,
		cells: of.length,
		...prior
	});
	const ofMaterials = (kind: string | null, of: readonly SuccessCell[], start: SuccessPrior) =>
		parted(of, (c) => c.material).map(({ name, of: some, others }) =>
			row(kind, name, some, learnSuccess(some, learnSuccess(others, start)))
		);
	return [
		row(null, null, prints, learnSuccess(prints, ASSUMED_SUCCESS)),
		...ofMaterials(null, prints, ASSUMED_SUCCESS),
		...parted(prints, (c) => c.kind).flatMap(({ name, of, others }) => {
			const start = learnSuccess(others, ASSUMED_SUCCESS);
			return [row(name, null, of, learnSuccess(of, start)), ...ofMaterials(name, of, start)];
		})
	];
}
