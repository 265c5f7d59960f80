import type { QuantityDef } from '../../../judging/finding/types';
import {
	MARK_ENTRIES,
	markEntries,
	type MarkDescribed,
	type MarkEntry,
	type MarkQuantity,
	type Range
} from '../../../record/marks/mark-entries';

/** Overhangs are one thing, on whichever side of the fan they lie. */
const aspectOf = (carriedBy: string): string => (carriedBy === 'overhangAway' ? 'overhang' : carriedBy);

const FIGURES = { ladder: 'steps', window: 'steps', measure: 'dot', words: 'words' } as const;

/**
 * The quantity of a mark.
 * @example markQuantity('overhang').differenceThatMatters // 5
 */
export function markQuantity(id: MarkQuantity): QuantityDef {
	const entry: MarkEntry = MARK_ENTRIES[id];
	const ranks: Range = [0, entry.kind === 'words' ? entry.words.length - 1 : 1];
	const range = ([low, high]: Range = ranks) => ({ low, high });
	return {
		id,
		station: 'prints',
		unit: entry.unit ?? '',
		direction: entry.direction,
		target: entry.target ?? null,
		scale: range(entry.scale),
		prior: range(entry.prior),
		differenceThatMatters: entry.matters ?? 1,
		figure: FIGURES[entry.kind],
		onSheet: entry.column ?? 'weighed',
		family: entry.family,
		aspect: aspectOf(entry.carriedBy),
		...(entry.kind === 'words' ? { words: entry.words.map((word) => `${id}.${word}`) } : {})
	};
}

/** How a quantity is read off the prints of a piece: as a ladder, in words, measured, or as a window between two floors. */
export type MarkDef = MarkDescribed & { def: QuantityDef };

/** Every quantity that is read off a piece. A mark belongs to a piece, so each has its own finding a piece. */
export const MARKS: readonly MarkDef[] = markEntries().map((entry) => ({ ...entry, def: markQuantity(entry.quantity) }));

/** Marks that people give and that have a better and a worse: what drying and days are asked about. A size alone is neither; shrinkage is compared as two ways. */
export const JUDGED_MARKS: readonly MarkDef[] = MARKS.filter(
	(m) => m.asked === undefined && !(m.kind === 'measure' && m.against !== undefined)
);
