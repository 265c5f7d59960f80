import { targetOf } from '../../judging/finding/target';
import type { QuantityDef } from '../../judging/finding/types';

type Def = Pick<QuantityDef, 'direction' | 'scale' | 'target' | 'spacing'>;

/** At module level: this runs some fifty million times in a long draw. */
function clip(value: number): number {
	return value < 0 ? 0 : value > 1 ? 1 : value;
}

/**
 * Value of a measured quantity on its fixed scale: 0 at the worst end, 1 at the best, straight between (in
 * ratios, where ratios count), clipped beyond.
 * Anchored on the scale, not on the spools at hand, so that no rank turns when a spool joins or leaves.
 * Source: Keeney & Raiffa 1976 (additive value with stated value functions); straight line: house rule.
 * @returns 0 to 1
 * @example valueOf(70, { direction: 'more', scale: { low: 30, high: 80 }, target: null }) // 0.8
 */
export function valueOf(x: number, def: Def): number {
	const { low, high } = def.scale;
	if (def.direction === 'nearest') {
		const target = targetOf(def);
		return clip(1 - Math.abs(x - target) / Math.max(high - target, target - low));
	}
	const share = def.spacing === 'ratio' ? Math.log(x / low) / Math.log(high / low) : (x - low) / (high - low);
	return clip(def.direction === 'more' ? share : 1 - share);
}

/** A list that moves every value: some multiple of it is added. */
type Moved = { by: Float64Array; times: number };

/**
 * The same of a whole list: its definition is looked at once and not at every value, which for some million of them is many times quicker.
 * @param values in the unit of the quantity
 * @param moved what is added to them first, in the unit of the quantity
 * @returns 0 to 1 each
 * @example valuesOf(Float64Array.of(70), { direction: 'more', scale: { low: 30, high: 80 }, target: null })[0] // 0.8
 */
export function valuesOf(values: Float64Array, def: Def, moved?: Moved): Float64Array {
	const worth = new Float64Array(values.length);
	if (moved) for (let d = 0; d < worth.length; d++) worth[d] = (values[d] as number) + moved.times * (moved.by[d] as number);
	else worth.set(values);
	if (def.direction === 'nearest' || def.spacing === 'ratio') {
		for (let d = 0; d < worth.length; d++) worth[d] = valueOf(worth[d] as number, def);
		return worth;
	}
	const { low, high } = def.scale;
	const [from, span] = def.direction === 'more' ? [low, high - low] : [high, low - high];
	for (let d = 0; d < worth.length; d++) {
		const share = ((worth[d] as number) - from) / span;
		worth[d] = share < 0 ? 0 : share > 1 ? 1 : share;
	}
	return worth;
}
