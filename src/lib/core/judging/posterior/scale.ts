/**
 * How a quantity is modelled: the scale on which its values scatter alike wherever they lie.
 * `plain`: as it is; `log`: loads and blows, which scatter by a share; `root`: counts, whose scatter grows with their root.
 */
export type ModelScale = 'plain' | 'log' | 'root';

/** What one observation says on the model's scale: between two ends; null where it is open. */
export type Observed = { low: number | null; high: number | null };

const TO: Record<ModelScale, (x: number) => number> = { plain: (x) => x, log: Math.log, root: Math.sqrt };
const FROM: Record<ModelScale, (z: number) => number> = { plain: (z) => z, log: Math.exp, root: (z) => Math.max(0, z) ** 2 };

/**
 * A value on the model's scale.
 * @param x in the unit of the quantity; above 0 for `log`, not below 0 for `root`
 * @returns on the model's scale
 * @example toModel('root', 9) // 3
 */
export const toModel = (scale: ModelScale, x: number): number => TO[scale](x);

/**
 * A value back from the model's scale.
 * @returns in the unit of the quantity
 * @example fromModel('log', 0) // 1
 */
export const fromModel = (scale: ModelScale, z: number): number => FROM[scale](z);

/**
 * An interval of the quantity on the model's scale. What reaches to nought, where a quantity cannot be less, says only that it is not more.
 * @param between ends in the unit of the quantity; null where it is open
 * @param floor the least the quantity can be; null where it may be anything
 * @example observedOn('log', { low: 0, high: 1 }, 0) // { low: null, high: 0 }
 */
export function observedOn(scale: ModelScale, between: Observed, floor: number | null): Observed {
	const { low, high } = between;
	const open = low === null || (floor !== null && low <= floor) || (scale !== 'plain' && low <= 0);
	return { low: open ? null : toModel(scale, low), high: high === null ? null : toModel(scale, high) };
}
