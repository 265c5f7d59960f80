import type { Finding } from './types';

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
