import type { ParamDef, Params } from './types';

/**
 * Definition of a size.
 * @param usual in mm, as are low and high
 * @param low the least
 * @param high the most
 * @example mm('span', 20, 5, 100) // { id: 'span', unit: 'mm', usual: 20, low: 5, high: 100 }
 */
export const mm = (id: string, usual: number, low: number, high: number): ParamDef => ({ id, unit: 'mm', usual, low, high });

/**
 * Definition of an angle in degrees.
 * @param usual in degrees, as are low and high
 * @param low the least
 * @param high the most
 * @example deg('step', 5, 1, 20) // { id: 'step', unit: 'deg', usual: 5, low: 1, high: 20 }
 */
export const deg = (id: string, usual: number, low: number, high: number): ParamDef => ({ id, unit: 'deg', usual, low, high });

/** Smaller bores are none: a printer would close them. */
export const LEAST_BORE = 1;

/** More steps than these no bed holds. */
const MOST_STEPS = 24;

/**
 * The size of a piece by its id.
 * Errors: throws a RangeError for a size the piece does not have, which is a fault of the program.
 * @returns in the unit of the parameter: mm or degrees
 * @example sizeOf({ width: 8 }, 'width') // 8
 */
export function sizeOf(params: Params, id: string): number {
	const value = params[id];
	if (value === undefined) throw new RangeError(`a piece without ${id}`);
	return value;
}

/**
 * Steps of a ladder, both ends included; a last step that does not fit is left out. Downwards where `from` lies above `to`.
 * @example stepsOf({ from: 30, to: 45, step: 5 }) // [30, 35, 40, 45]
 */
export function stepsOf(params: Params): number[] {
	const [from, to, step] = [sizeOf(params, 'from'), sizeOf(params, 'to'), sizeOf(params, 'step')];
	const count = Math.floor(Math.abs(to - from) / step + 1e-9) + 1;
	return Array.from({ length: count }, (_, i) => Number((from + (to >= from ? i : -i) * step).toFixed(6)));
}

/**
 * Whether the steps of a ladder make one: the way it is meant to go, at least two, and not more than a bed holds.
 * @example ladderFault({ from: 50, to: 30, step: 5 }) // { param: 'to', reason: 'notBelow' }
 */
export function ladderFault(
	params: Params,
	way: 'up' | 'down' = 'up'
): { param: string; reason: 'notBelow' | 'tooFew' | 'tooMany' } | null {
	const rise = sizeOf(params, 'to') - sizeOf(params, 'from');
	if (way === 'up' ? rise < 0 : rise >= 0) return { param: 'to', reason: 'notBelow' };
	const steps = stepsOf(params).length;
	if (steps < 2) return { param: 'step', reason: 'tooFew' };
	return steps > MOST_STEPS ? { param: 'step', reason: 'tooMany' } : null;
}
