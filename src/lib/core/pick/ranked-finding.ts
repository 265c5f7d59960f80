import type { Finding } from '../finding/types';

/** What a pick takes of a finding: value, how it may be drawn, and how much stands behind it. */
export type RankedFinding = Pick<Finding, 'estimate' | 'n' | 'interval' | 'sampling' | 'method'>;

/**
 * A finding as the pick takes it. One without any evidence is none: it is drawn over the quantity's prior either way.
 * @example rankedFinding(finding)?.estimate // as in the finding
 */
export function rankedFinding(finding: Finding | undefined): RankedFinding | undefined {
	if (!finding || (finding.n === 0 && finding.estimate === null && finding.sampling.kind === 'unknown')) return undefined;
	const { estimate, n, interval, sampling, method } = finding;
	return { estimate, n, interval, sampling, method };
}
