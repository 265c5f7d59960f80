import type { QuantityDef } from '../finding/types';
import type { CellPrior } from './prior';
import { toModel, type ModelScale } from './scale';

/** How a quantity is modelled, and what is assumed of it while the record is silent. */
export type MarkModel = {
	scale: ModelScale;
	/** The least it can be, in its unit; null where it may be anything. */
	floor: number | null;
	/** How many words it has; null for what is no word. */
	words: number | null;
	assumed: CellPrior;
};

/** What is read: a length, an angle or a share; a count of things; words in order; a load; blows until it breaks. */
export type ModelKind = 'plain' | 'count' | 'words' | 'load' | 'blows';

/** As sure of an assumed scatter as four repeats would make one (common practice, no source). */
const ASSUMED_DF = 4;
/**
 * Scatters of single values that are assumed: of ranks of words, roots of counts, and logarithms of loads and blows. Rather too wide than too
 * narrow; common practice, no source.
 */
const SCATTER = { words: 0.8, count: 0.8, load: 0.22, blows: 0.5 };
/** Test parts differ in size, so little is assumed of a load (in newtons) or of blows: a typical one, and within what factor most lie. */
const TYPICAL = { load: { value: 120, factor: 3 }, blows: { value: 3, factor: 3 } };

/**
 * How a quantity is modelled before a record says otherwise. Means lie about the middle of what the quantity's definition calls usual, most of
 * them within it; single values scatter by the difference that matters.
 * @param floor the least it can be; null where it may be anything, as a shrinkage that can be a growth
 * @example modelOf(overhang, 'plain', 0).assumed // { scatter: { sd: 5, df: 4 }, mean: { centre: 57.5, spread: 17.5 } }
 */
export function modelOf(
	def: Pick<QuantityDef, 'prior' | 'differenceThatMatters' | 'words'>,
	kind: ModelKind,
	floor: number | null = 0
): MarkModel {
	if (kind === 'load' || kind === 'blows') {
		const { value, factor } = TYPICAL[kind];
		return {
			scale: 'log',
			floor: 0,
			words: null,
			assumed: assumed(SCATTER[kind], { low: Math.log(value / factor), high: Math.log(value * factor) })
		};
	}
	if (kind === 'words') return { scale: 'plain', floor: null, words: def.words?.length ?? 0, assumed: assumed(SCATTER.words, def.prior) };
	const scale = kind === 'count' ? 'root' : 'plain';
	const range = { low: toModel(scale, def.prior.low), high: toModel(scale, def.prior.high) };
	return { scale, floor, words: null, assumed: assumed(kind === 'count' ? SCATTER.count : def.differenceThatMatters, range) };
}

function assumed(sd: number, { low, high }: { low: number; high: number }): CellPrior {
	return { scatter: { sd, df: ASSUMED_DF }, mean: { centre: (low + high) / 2, spread: (high - low) / 2 } };
}
