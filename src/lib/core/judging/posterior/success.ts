import { sum } from 'd3-array';
import { betaQuantile, logGamma } from '../../kernel/stats/distributions';
import { meanOver } from './weights';

/** What is expected of the share of prints that finish: as if so many had finished and failed before. */
export type SuccessPrior = { finished: number; failed: number };

/** While the record is silent: nine in ten finish, as sure as of four prints (common practice, no source). */
export const ASSUMED_SUCCESS: SuccessPrior = { finished: 3.6, failed: 0.4 };

/** Where a beta law is noted as a list of quantiles. */
export const BETA_PROBABILITIES = [
	0.001, 0.01, 0.025, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 0.975, 0.99, 0.999
] as const;

const MEANS = [0.3, 0.4, 0.5, 0.6, 0.7, 0.75, 0.8, 0.85, 0.9, 0.925, 0.95, 0.97, 0.98, 0.99];
const SIZES = [1, 2, 3, 4, 6, 8, 12, 16, 24, 32, 64];
/**
 * A prior never counts for more prints: a record of sixty spools may make one far too sure by chance, and ranges then held the truth in 88 to 93 % (by
 * simulation, docs/trust.md).
 */
const MOST_PRINTS = 5;
/** What was assumed counts as so many cells more (common practice, no source). */
const ASSUMED_CELLS = 4;

/** What a spool's prints say of the share that finishes, with what is known of such prints. */
export type Success = SuccessPrior & { estimate: number; low: number; high: number };

/**
 * The share of prints that finish: the prior's prints and the spool's own counted together; never certainty.
 * Source: beta-binomial (Gelman et al., Bayesian Data Analysis, 5.3).
 * @param finished prints that finished
 * @param failed prints that failed by the filament's fault
 * @example successOf(3, 0, { finished: 3.6, failed: 0.4 }).estimate // 0.977
 */
export function successOf(finished: number, failed: number, prior: SuccessPrior): Success {
	const [a, b] = [prior.finished + finished, prior.failed + failed];
	const [low, estimate, high] = [0.025, 0.5, 0.975].map((p) => betaQuantile(p, a, b)) as [number, number, number];
	return { finished: a, failed: b, estimate, low, high };
}

/**
 * Learns the prior from the record's spools: a mean over candidates, each weighed by how likely it makes
 * their counts.
 * Source: empirical Bayes (marginal likelihood) on a grid; what was assumed counts as four spools more (common practice, no source).
 * @param cells prints finished and failed, one pair a spool
 * @example learnSuccess([]) // { finished: 3.6, failed: 0.4 }
 */
export function learnSuccess(cells: readonly { finished: number; failed: number }[], assumed = ASSUMED_SUCCESS): SuccessPrior {
	const seen = cells.filter((c) => c.finished + c.failed > 0);
	if (seen.length === 0) return assumed;
	const size = assumed.finished + assumed.failed;
	const mean = assumed.finished / size;
	const candidates = MEANS.flatMap((m) => SIZES.map((s) => ({ finished: m * s, failed: (1 - m) * s, mean: m, size: s })));
	const over = meanOver(
		candidates,
		candidates.map(
			(p) =>
				// So many spools as they were expected: one print each, the expected share of it finished.
				ASSUMED_CELLS * (mean * logChance(1, 0, p) + (1 - mean) * logChance(0, 1, p)) + sum(seen, (c) => logChance(c.finished, c.failed, p))
		)
	);
	// The beta law with the mean and the variance of all of them together.
	const middle = over((p) => p.mean);
	const variance = over((p) => (p.mean * (1 - p.mean)) / (p.size + 1) + (p.mean - middle) ** 2);
	const prints = Math.min(MOST_PRINTS, (middle * (1 - middle)) / variance - 1);
	return { finished: middle * prints, failed: (1 - middle) * prints };
}

/** Beta-binomial, but for the number of orders. */
function logChance(finished: number, failed: number, { finished: a, failed: b }: SuccessPrior): number {
	const logBeta = (x: number, y: number) => logGamma(x) + logGamma(y) - logGamma(x + y);
	return logBeta(a + finished, b + failed) - logBeta(a, b);
}
