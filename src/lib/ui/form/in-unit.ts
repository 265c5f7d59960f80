import type { Dimension } from '$lib/core/kernel/units/dimension';
import { fromCanonical } from '$lib/core/kernel/units/convert';
import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
import { withUnit } from './chosen-unit.svelte';

/**
 * A typed text in the unit that was tapped beside its field: a bare number is meant in it, what carries another unit is converted, and what cannot
 * be read stays as it is.
 * @example inUnit('65 C', 'F', 'temperature') // '149 F'
 */
export function inUnit(typed: string, unit: string, dimension: Dimension): string {
	const meant = withUnit(typed, unit);
	const read = readQuantityText(meant, dimension);
	if (!read.ok || read.typedUnit === unit) return meant;
	return storedIn(read.value, unit, dimension);
}

/**
 * A stored value as it is proposed in a field. Six digits: no scale tells more; a tenth of a degree, so that a limit is not passed by rounding.
 * @example storedIn(748.42741, 'lb', 'mass') // '1.65 lb'
 */
export function storedIn(canonical: number, unit: string, dimension: Dimension): string {
	const value = Number(fromCanonical(canonical, unit, dimension).toPrecision(6));
	return `${dimension === 'temperature' ? Number(value.toFixed(1)) : value} ${unit}`;
}
