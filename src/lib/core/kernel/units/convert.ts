import Qty from 'js-quantities';
import { canonicalUnit, type Dimension } from './dimension';

/** Our unit words in the units library's spelling, where they differ. */
const LIBRARY: Record<string, string> = { C: 'tempC', F: 'tempF' };

/** Standard gravity in m/s2, exact by definition (CGPM 1901; SI brochure). */
const STANDARD_GRAVITY = 9.80665;

/** Forces of the bench are masses that hang: the library lacks kgf and rounds lbf to seven digits, so they go by mass and g_n. */
const HANGING_MASS: Record<string, string> = { kgf: 'kg', lbf: 'lb' };

const MASSES = new Set(['g', 'kg', 'lb', 'oz']);

/**
 * Converts between two units of one dimension through the units library.
 * Source: SI brochure / BIPM for lb, in, g_n (exact). Throws when the library does not know a unit.
 * @param value in the unit it comes from
 * @returns in the unit it goes to
 * @example convert(25, 'lb', 'kg') // 11.33980925
 */
export function convert(value: number, from: string, to: string): number {
	if (from === to) return value;
	const hangsFrom = HANGING_MASS[from];
	if (hangsFrom) return convert(convert(value, hangsFrom, 'kg') * STANDARD_GRAVITY, 'N', to);
	const hangsTo = HANGING_MASS[to];
	if (hangsTo) return convert(convert(value, from, 'N') / STANDARD_GRAVITY, 'kg', hangsTo);
	// The library rounds the ounce to nine digits; a sixteenth of a pound is exact.
	if (from === 'oz') return convert(value / 16, 'lb', to);
	if (to === 'oz') return convert(value, from, 'lb') * 16;
	return Qty(value, LIBRARY[from] ?? from).to(LIBRARY[to] ?? to).scalar;
}

/**
 * A value in the canonical unit of its dimension.
 * @param value in the unit given
 * @returns in the canonical unit of its dimension
 * @example toCanonical(1.1, 'kg', 'mass') // 1100
 * @example toCanonical(25, 'lb', 'load') // 111.205540382
 */
export function toCanonical(value: number, unit: string, dimension: Dimension): number {
	const canonical = canonicalUnit(dimension);
	// A mass typed for a load is the mass that hangs: its weight is meant.
	if (dimension === 'load' && MASSES.has(unit)) return cleanBinaryDust(convert(value, unit, 'kg') * STANDARD_GRAVITY);
	return unit === canonical ? value : cleanBinaryDust(convert(value, unit, canonical));
}

/**
 * A value of the canonical unit of its dimension in another one: the way back from `toCanonical`.
 * @param value in the canonical unit of its dimension
 * @returns in the unit given
 * @example fromCanonical(111.205540382, 'lb', 'load') // 25
 */
export function fromCanonical(value: number, unit: string, dimension: Dimension): number {
	const canonical = canonicalUnit(dimension);
	if (dimension === 'load' && MASSES.has(unit)) return cleanBinaryDust(convert(value / STANDARD_GRAVITY, 'kg', unit));
	return unit === canonical ? value : cleanBinaryDust(convert(value, canonical, unit));
}

/** 1.1 kg must not become 1100.0000000000002 g: keeps twelve significant digits, more than any bench instrument carries. */
function cleanBinaryDust(value: number): number {
	return Number(value.toPrecision(12));
}
