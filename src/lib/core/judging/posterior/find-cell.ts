import { remembering } from '../../kernel/memo/remember';
import type { Interval, Sampling, SharedPart } from '../finding/types';
import type { MarkModel } from './model';
import { posteriorOf } from './posterior';
import type { CellPrior } from './prior';
import { observedOn, type Observed } from './scale';
import { summaryOfMean, summaryOfRank, type Summary } from './summarise';

/** What observations of one cell come to: one distribution, shown and drawn. */
export type FoundCell = { estimate: number; n: number; interval: Interval; sampling: Sampling; shared: SharedPart[] };

/**
 * What the observations of one cell say, with what is known of such cells.
 * Source: `posterior.ts`; errors that spools share are added to the range in quadrature (JCGM 100, 5.1.2).
 * @param observed intervals in the unit of the quantity, one a print, part or reading; of words on the scale of ranks
 * @param shared errors that other spools have in common with this one, in the unit of the quantity
 * @returns null without an observation
 * @example findCell([{ low: 65, high: 70 }], modelOf(overhang, 'plain'), prior)?.n // 1
 */
export function findCell(
	observed: readonly Observed[],
	model: MarkModel,
	prior: CellPrior,
	shared: readonly SharedPart[] = []
): FoundCell | null {
	if (observed.length === 0) return null;
	const summary = summaryOfCell(observed, model, prior);
	const { estimate, probabilities, values } = summary;
	const { low, high } = withShared(summary, shared, model);
	return {
		estimate,
		n: observed.length,
		interval: { low, high, level: 0.95, kind: 'credible' },
		sampling: { kind: 'quantiles', probabilities, values },
		shared: [...shared]
	};
}

/**
 * What a cell that nobody looked at may be: as such cells are. Neither praise nor blame.
 * @example expectedOf(modelOf(overhang, 'plain'), prior).values.length // 33
 */
export function expectedOf(model: MarkModel, prior: CellPrior): { probabilities: number[]; values: number[] } {
	const { probabilities, values } = summaryOfCell([], model, prior);
	return { probabilities, values };
}

/** A spool of which something else was noted, and spools that look alike, are not worked out anew. */
const remembered = remembering<string, Summary>(4000);

const summaryOfCell = (observed: readonly Observed[], model: MarkModel, prior: CellPrior): Summary =>
	remembered(JSON.stringify([observed, model, prior]), () => workOut(observed, model, prior));

function workOut(observed: readonly Observed[], model: MarkModel, prior: CellPrior): Summary {
	const { scale, floor, words } = model;
	const posterior = posteriorOf(
		observed.map((o) => observedOn(scale, o, floor)),
		prior
	);
	if (words !== null) return summaryOfRank(posterior, words);
	const summary = summaryOfMean(posterior, scale);
	if (floor === null) return summary;
	// What cannot be less than nothing is nothing where the model goes below.
	const least = (x: number) => Math.max(floor, x);
	return {
		...summary,
		estimate: least(summary.estimate),
		low: least(summary.low),
		high: least(summary.high),
		values: summary.values.map(least)
	};
}

/** The range with what is shared in it: each half is widened by itself, for the distribution may lean. */
function withShared(
	{ estimate, low, high }: Summary,
	shared: readonly SharedPart[],
	{ floor, words }: MarkModel
): { low: number; high: number } {
	const half = Z_95 * Math.hypot(0, ...shared.map((part) => part.sd));
	const [least, most] = words === null ? [floor ?? -Infinity, Infinity] : [0, words - 1];
	return {
		low: Math.max(least, estimate - Math.hypot(estimate - low, half)),
		high: Math.min(most, estimate + Math.hypot(high - estimate, half))
	};
}

const Z_95 = 1.959964;
