import type { CellPrior } from './prior';
import type { ModelScale } from './scale';

/** How a kind of mark is modelled, and what is assumed of it while the record is silent. */
export type MarkModel = {
	scale: ModelScale;
	/** The least it can be, in its unit; null where it may be anything. */
	floor: number | null;
	/** How many words it has; null for what is no word. */
	words: number | null;
	assumed: CellPrior;
};

/**
 * What is assumed before a record says otherwise: few degrees of freedom, and rather too wide than too narrow. On the model's scale: degrees,
 * millimetres, ranks of words, logarithms of loads, roots of counts. Common practice, no source.
 */
export const HOUSE_DEFAULTS = {
	overhang: { scale: 'plain', floor: 0, words: null, assumed: { scatter: { sd: 5, df: 4 }, mean: { centre: 55, spread: 14 } } },
	bridge: { scale: 'plain', floor: 0, words: null, assumed: { scatter: { sd: 7, df: 4 }, mean: { centre: 30, spread: 14 } } },
	length: { scale: 'plain', floor: 0, words: null, assumed: { scatter: { sd: 0.2, df: 4 }, mean: { centre: 0.5, spread: 0.6 } } },
	word: { scale: 'plain', floor: null, words: 4, assumed: { scatter: { sd: 0.8, df: 4 }, mean: { centre: 1, spread: 1.2 } } },
	count: { scale: 'root', floor: 0, words: null, assumed: { scatter: { sd: 0.8, df: 4 }, mean: { centre: 2, spread: 1.5 } } },
	load: { scale: 'log', floor: 0, words: null, assumed: { scatter: { sd: 0.22, df: 4 }, mean: { centre: Math.log(120), spread: 0.5 } } }
} as const satisfies Record<string, MarkModel>;
