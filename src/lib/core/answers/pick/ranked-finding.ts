import type { Finding } from '../../judging/finding/types';

/** What a pick takes of a finding: value, how it may be drawn, and how much stands behind it. */
export type RankedFinding = Pick<Finding, 'estimate' | 'n' | 'interval' | 'sampling' | 'shared' | 'method'>;

/**
 * A finding as the pick takes it. One that says nothing, not even what is expected, is none: it is drawn over the quantity's prior either way.
 * @example rankedFinding(finding)?.estimate // as in the finding
 */
export function rankedFinding(finding: Finding | undefined): RankedFinding | undefined {
	if (!finding || (finding.sampling.kind === 'unknown' && finding.estimate === null && !finding.sampling.expected)) return undefined;
	const { estimate, n, interval, sampling, shared, method } = finding;
	return { estimate, n, interval, sampling, shared, method };
}
