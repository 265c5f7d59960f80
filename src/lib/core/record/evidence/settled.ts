import type { Attempt } from './attempt';

/**
 * Whether a print speaks of its spool: it counts, and its settings were no longer being looked for.
 * @example settled({ status: 'counts', tuning: true }) // false
 */
export const settled = ({ status, tuning }: Pick<Attempt, 'status' | 'tuning'>): boolean => status === 'counts' && !tuning;
