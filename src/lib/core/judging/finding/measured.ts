import type { Finding } from './types';

/** A figure with how sure it is. */
export type Ranged = Pick<Finding, 'estimate' | 'n' | 'interval'>;

/**
 * The figure of a finding, and no more of it.
 * @example rangedOf(finding).n // 3
 */
export const rangedOf = ({ estimate, n, interval }: Ranged): Ranged => ({ estimate, n, interval });

/** Methods that tell what others measured or stated. */
const OF_OTHERS: readonly string[] = ['handbook', 'stated'];

/**
 * Whether a finding tells what others measured or stated.
 * @example isOfOthers({ method: 'handbook' }) // true
 */
export const isOfOthers = ({ method }: Pick<Finding, 'method'>): boolean => OF_OTHERS.includes(method);

/**
 * Whether a finding rests on something seen here: not on a figure of the handbook, nor on what a maker states.
 * @example isMeasured({ n: 3, method: 'posterior' }) // true
 */
export const isMeasured = (finding: Pick<Finding, 'n' | 'method'>): boolean => finding.n > 0 && !isOfOthers(finding);
