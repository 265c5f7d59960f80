import type { QuantityDef } from './types';

/**
 * Where nearest is best, nearest to what: the middle of the scale where nothing is said.
 * @returns in the unit of the scale
 * @example targetOf({ target: null, scale: { low: 1, high: 3 } }) // 2
 */
export const targetOf = ({ target, scale }: Pick<QuantityDef, 'target' | 'scale'>): number => target ?? (scale.low + scale.high) / 2;
