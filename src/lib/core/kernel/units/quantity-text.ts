import { toCanonical } from './convert';
import { canonicalUnit, unitOf, UNITS, type Dimension } from './dimension';
import { readNumberText } from './number-text';

export type QuantityText =
	| { ok: true; value: number; typedText: string; typedUnit: string; resolution: number }
	| { ok: false; reason: 'empty' | 'notANumber' | 'ambiguous' | 'unknownUnit'; allowed: readonly string[] };

/**
 * What a tester typed into a field, in the canonical unit, with the text and unit kept as typed.
 * @param assumedUnit the unit meant when none is typed; the canonical one by default
 * @returns value and resolution in the canonical unit, or the reason why the text is refused
 * @example readQuantityText('2 lb 12 oz', 'mass') // { value: 1247.37902, typedUnit: 'lb', resolution: 28.349523 }
 * @example readQuantityText('2,5 lb', 'mass') // { value: 1133.980925, typedUnit: 'lb', resolution: 45.359237 }
 */
export function readQuantityText(text: string, dimension: Dimension, assumedUnit = canonicalUnit(dimension)): QuantityText {
	const allowed = UNITS[dimension];
	const inBoth = readPoundsAndOunces(text, dimension);
	if (inBoth) return inBoth;
	const number = readNumberText(text);
	if (!number.ok) return { ok: false, reason: number.reason, allowed };
	const unit = number.rest === '' ? assumedUnit : unitOf(number.rest, dimension);
	if (unit === null) return { ok: false, reason: 'unknownUnit', allowed };
	const step = 10 ** -number.decimals;
	return {
		ok: true,
		value: toCanonical(number.value, unit, dimension),
		typedText: text.trim(),
		typedUnit: unit,
		// A temperature step is a difference: 1 F is 5/9 C, not -17.2 C.
		resolution: dimension === 'temperature' ? (unit === 'F' ? (step * 5) / 9 : step) : toCanonical(step, unit, dimension)
	};
}

/** As a kitchen scale shows it: whole pounds, then ounces below sixteen. Null for anything else. */
function readPoundsAndOunces(text: string, dimension: Dimension): QuantityText | null {
	if (dimension !== 'mass' && dimension !== 'load') return null;
	const [, pounds, ounces] = /^\s*(\d+)\s*(?:lbs?|pounds?)\.?[\s,]*(\d+(?:[.,]\d+)?)\s*(?:oz|ounces?)\.?\s*$/i.exec(text) ?? [];
	if (pounds === undefined || ounces === undefined) return null;
	const oz = readNumberText(ounces);
	if (!oz.ok || oz.value >= 16) return null;
	return {
		ok: true,
		value: toCanonical(Number(pounds), 'lb', dimension) + toCanonical(oz.value, 'oz', dimension),
		typedText: text.trim(),
		typedUnit: 'lb',
		resolution: toCanonical(10 ** -oz.decimals, 'oz', dimension)
	};
}
