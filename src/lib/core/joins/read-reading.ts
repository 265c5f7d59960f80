import { convert } from '../kernel/units/convert';
import { canonicalUnit, UNITS } from '../kernel/units/dimension';
import { readNumberText } from '../kernel/units/number-text';
import { readQuantityText } from '../kernel/units/quantity-text';
import { READING_QUANTITIES } from './quantities';

export type ReadReading =
	| { ok: true; value: number; typedText: string; typedUnit: string; resolution: number | null }
	| { ok: false; reason: 'empty' | 'notANumber' | 'ambiguous' | 'unknownUnit' | 'unknownWord'; allowed: readonly string[] }
	| { ok: false; reason: 'notPositive' | 'outOfRange' | 'notWhole'; allowed: readonly string[] }
	/** Probably another thing was meant: ask, and take `suggestion` if the tester says yes. */
	| { ok: false; reason: 'slip'; suggestion: string; allowed: readonly string[] };

/** A slipped decimal point or a unit left out: typed numbers that make sense divided by one of these. */
const SLIPS = [1000, 100, 10];

/** Where a filament diameter makes sense: 1.75 mm and 2.85 mm, generously. */
const LIKELY_DIAMETERS = [
	[1.4, 2.1],
	[2.5, 3.2]
] as const;

/**
 * Turns what was typed for a quantity into a value in its canonical unit, or says why not.
 * Three digits for a diameter are hundredths, as a caliper shows them: 174 is 1.74 mm. 1750 is asked about instead of stored: the suggestion
 * is 1.75 mm.
 * @param own for an own measure its unit (kept as typed, never converted), or its words in their order
 * @example readReading('diameter', '174') // { ok: true, value: 1.74, typedText: '174', typedUnit: 'mm', resolution: 0.01 }
 * @example readReading('diameter', '1750') // { ok: false, reason: 'slip', suggestion: '1.75 mm' }
 */
export function readReading(quantity: string, typed: string, own: string | readonly string[] = ''): ReadReading {
	const def = READING_QUANTITIES[quantity];
	if (!def) return { ok: false, reason: 'unknownWord', allowed: Object.keys(READING_QUANTITIES) };
	if (def.words) return readWord(def.words, typed);
	if (quantity === 'own') return typeof own === 'string' ? readOwn(typed, own) : readWord(own, typed);
	const read = readQuantityText(typed, def.dimension);
	if (!read.ok) return read;
	const { ok, ...rest } = read;
	if (def.dimension === 'count' && !Number.isInteger(read.value)) return { ok: false, reason: 'notWhole', allowed: [] };
	if (def.low > 0 && read.value <= 0) return { ok: false, reason: 'notPositive', allowed: UNITS[def.dimension] };
	if (quantity === 'diameter') {
		const hundredths = inHundredths(typed);
		if (hundredths !== null) return { ok, ...rest, value: hundredths, resolution: 0.01 };
		const suggestion = slippedDiameter(typed, read.value);
		if (suggestion) return { ok: false, reason: 'slip', suggestion, allowed: UNITS[def.dimension] };
	}
	if (read.value < def.low || read.value > def.high) return { ok: false, reason: 'outOfRange', allowed: UNITS[def.dimension] };
	return { ok, ...rest };
}

function readWord(words: readonly string[], typed: string): ReadReading {
	const rank = words.findIndex((word) => word.toLowerCase() === typed.trim().toLowerCase());
	if (rank < 0) return { ok: false, reason: 'unknownWord', allowed: words };
	return { ok: true, value: rank, typedText: typed.trim(), typedUnit: '', resolution: null };
}

function readOwn(typed: string, unit: string): ReadReading {
	const number = readNumberText(typed);
	if (!number.ok) return { ok: false, reason: number.reason, allowed: [unit] };
	if (number.rest !== '' && number.rest !== unit) return { ok: false, reason: 'unknownUnit', allowed: [unit] };
	return { ok: true, value: number.value, typedText: typed.trim(), typedUnit: unit, resolution: 10 ** -number.decimals };
}

const likely = (mm: number): boolean => LIKELY_DIAMETERS.some(([low, high]) => mm >= low && mm <= high);

/** Three digits and nothing else, where they make a likely diameter in hundredths of a millimetre. */
function inHundredths(typed: string): number | null {
	const mm = /^\d{3}$/.test(typed.trim()) ? Number(typed) / 100 : 0;
	return likely(mm) ? mm : null;
}

/** Null when the value can be meant as it stands. A unit typed is a unit meant: 1750 um is no slip. */
function slippedDiameter(typed: string, valueMm: number): string | null {
	const number = readNumberText(typed);
	if (!number.ok || likely(valueMm)) return null;
	const unit = canonicalUnit('length');
	if (number.rest !== '' && number.rest !== unit) return null;
	const factor = SLIPS.find((slip) => likely(valueMm / slip));
	if (factor) return `${Number((valueMm / factor).toPrecision(6))} ${unit}`;
	// 0.069 is 1.75 mm in inches with the unit left out.
	const asInches = convert(valueMm, 'in', 'mm');
	return likely(asInches) ? `${number.value} in` : null;
}
