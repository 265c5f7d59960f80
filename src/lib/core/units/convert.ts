import Qty from 'js-quantities';
import { canonicalUnit, type Dimension } from './dimension';

/** Our unit words in the units library's spelling, where they differ. */
const LIBRARY: Record<string, string> = { C: 'tempC', F: 'tempF' };

/** Standard gravity in m/s2, exact by definition (CGPM 1901; SI brochure). */
const STANDARD_GRAVITY = 9.80665;

/** Forces of the bench are masses that hang: the library lacks kgf and rounds lbf to seven digits, so they go by mass and g_n. */
const HANGING_MASS: Record<string, string> = { kgf: 'kg', lbf: 'lb' };

/**
 * Converts between two units of one dimension through the units library.
 * Source: SI brochure / BIPM for lb, in, g_n (exact). Throws when the library does not know a unit.
 * @example convert(25, 'lb', 'kg') // 11.33980925
 */
export function convert(value: number, from: string, to: string): number {
	if (from === to) return value;
	const hangsFrom = HANGING_MASS[from];
	if (hangsFrom) return convert(convert(value, hangsFrom, 'kg') * STANDARD_GRAVITY, 'N', to);
	const hangsTo = HANGING_MASS[to];
	if (hangsTo) return convert(convert(value, from, 'N') / STANDARD_GRAVITY, 'kg', hangsTo);
	return Qty(value, LIBRARY[from] ?? from).to(LIBRARY[to] ?? to).scalar;
}

/**
 * A value in the canonical unit of its dimension.
 * @example toCanonical(1.1, 'kg', 'mass') // 1100
 */
export function toCanonical(value: number, unit: string, dimension: Dimension): number {
	const canonical = canonicalUnit(dimension);
	return unit === canonical ? value : cleanBinaryDust(convert(value, unit, canonical));
}

/** 1.1 kg must not become 1100.0000000000002 g: keeps twelve significant digits, more than any bench instrument carries. */
function cleanBinaryDust(value: number): number {
	return Number(value.toPrecision(12));
}
