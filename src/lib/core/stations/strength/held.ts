import type { Finding } from '../../judging/finding/types';

/**
 * What the weakest test part held where none broke: how strong such parts are nobody knows, but this was seen.
 * @param finding a finding of a load
 * @returns newtons; null where a strength is known, and for any other figure
 * @example heldAtLeast({ estimate: null, figure: { kind: 'loads', loads: [{ low: 66.7, high: null }] } }) // 66.7
 */
export function heldAtLeast({ estimate, figure }: Pick<Finding, 'estimate' | 'figure'>): number | null {
	if (estimate !== null || figure.kind !== 'loads' || figure.loads.length === 0) return null;
	return Math.min(...figure.loads.map((load) => load.low));
}
