import type { ParamDef } from '$lib/core/judging/pieces/kit/types';
import type { Dimension } from '$lib/core/kernel/units/dimension';
import { readQuantityText } from '$lib/core/kernel/units/quantity-text';

const DIMENSIONS: Record<ParamDef['unit'], Dimension> = { mm: 'length', deg: 'angle', degC: 'temperature', '': 'plain' };

/**
 * A size of a piece as it was typed, with or without a unit, in the piece's own; NaN for what is none.
 * @example sizeOf({ unit: 'mm' }, '1.5 in') // 38.1
 */
export function sizeOf({ unit }: Pick<ParamDef, 'unit'>, text: string): number {
	const read = readQuantityText(text, DIMENSIONS[unit]);
	// Binary dust of a conversion would end up in the file.
	return read.ok ? Number(read.value.toFixed(6)) : NaN;
}
