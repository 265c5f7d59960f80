import type { QuantityDef } from '../finding/types';
import { markEntries, markQuantity, type MarkDescribed } from './mark-entries';

/** How a quantity is read off the prints of a piece: as a ladder, in words, measured, or as a window between two floors. */
export type MarkDef = MarkDescribed & { def: QuantityDef };

/** Every quantity that is read off a piece. A mark belongs to a piece, so each has its own finding a piece. */
export const MARKS: readonly MarkDef[] = markEntries().map((entry) => ({ ...entry, def: markQuantity(entry.quantity) }));

/** Marks that people give and that have a better and a worse: what drying and days are asked about. A size alone is neither; shrinkage is compared as two ways. */
export const JUDGED_MARKS: readonly MarkDef[] = MARKS.filter(
	(m) => m.asked === undefined && !(m.kind === 'measure' && m.against !== undefined)
);
