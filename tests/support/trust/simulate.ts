import { randomNormal, randomUniform } from 'd3-random';
import { randomSource } from '../../../src/lib/core/kernel/random/source';
import { toldApart } from '../../../src/lib/core/judging/compare/apart';
import { learnPrior } from '../../../src/lib/core/judging/posterior/learn';
import { posteriorOf } from '../../../src/lib/core/judging/posterior/posterior';
import type { CellPrior } from '../../../src/lib/core/judging/posterior/prior';
import { fromModel, type Observed } from '../../../src/lib/core/judging/posterior/scale';
import { summaryOfMean, summaryOfRank, type Summary } from '../../../src/lib/core/judging/posterior/summarise';
import { fastNormalCdf } from '../../../src/lib/core/kernel/stats/normal-table';
import type { Kind } from './kinds';

export type Coverage = { trials: number; covered: number; width: number };
type Spool = { mean: number; sd: number };

/** Cells of the record that the priors are learnt from, each printed twice. */
const RECORD = 60;
/** Scatters differ up to twofold between spools. */
const SCATTER_BY = Math.SQRT2;

/** A bench that is made up: draws spools and what a tester notes of them. */
export class Simulation {
	readonly #kind: Kind;
	readonly #normal: () => number;
	readonly #uniform: () => number;

	constructor(kind: Kind, seed: number) {
		const source = randomSource(seed);
		this.#kind = kind;
		this.#normal = randomNormal.source(source)(0, 1);
		this.#uniform = randomUniform.source(source)(0, 1);
	}

	/** A spool whose mean lies within `spread` of the others' and whose scatter is its own. */
	spool(spread: number): Spool {
		const { centre, sd } = this.#kind;
		return { mean: centre + spread * this.#normal(), sd: sd * SCATTER_BY ** (2 * this.#uniform() - 1) };
	}
	notes({ mean, sd }: Spool, n: number): Observed[] {
		return Array.from({ length: n }, () => this.#kind.note(mean + sd * this.#normal()));
	}
	/** Priors learnt from a record of other spools of the same spread. */
	learnt(spread: number): CellPrior {
		return learnPrior(
			Array.from({ length: RECORD }, () => this.notes(this.spool(spread), 2)),
			this.#kind.model.assumed
		);
	}
	summary(observed: readonly Observed[], prior: CellPrior): Summary {
		const { model } = this.#kind;
		const posterior = posteriorOf(observed, prior);
		return model.words === null ? summaryOfMean(posterior, model.scale) : summaryOfRank(posterior, model.words);
	}
	/** What the summary speaks of, as it truly is. */
	truth({ mean, sd }: Spool): number {
		const { model } = this.#kind;
		if (model.words === null) return fromModel(model.scale, mean);
		let rank = 0;
		for (let border = 0.5; border < model.words - 1; border++) rank += fastNormalCdf((mean - border) / sd);
		return rank;
	}

	/** How often the 95 % range holds the truth, and how wide it is on average. */
	coverage(n: number, spread: number, prior: CellPrior, trials: number): Coverage {
		let covered = 0;
		let width = 0;
		for (let i = 0; i < trials; i++) {
			const spool = this.spool(spread);
			const { low, high } = this.summary(this.notes(spool, n), prior);
			const truth = this.truth(spool);
			if (truth >= low && truth <= high) covered++;
			width += (high - low) / trials;
		}
		return { trials, covered, width };
	}

	/** In how many trials some pair of spools that are all alike is told apart. */
	falselyApart(spools: number, n: number, prior: CellPrior, trials: number): number {
		const pairs = (spools * (spools - 1)) / 2;
		let apart = 0;
		for (let i = 0; i < trials; i++) {
			const spool = this.spool(0);
			const summaries = Array.from({ length: spools }, () => this.summary(this.notes(spool, n), prior));
			const found = summaries.map(({ probabilities, values }) => ({
				sampling: { kind: 'quantiles' as const, probabilities, values },
				shared: []
			}));
			if (found.some((a, k) => found.slice(k + 1).some((b) => toldApart(a, b, this.#kind.def, pairs)))) apart++;
		}
		return apart;
	}
}
