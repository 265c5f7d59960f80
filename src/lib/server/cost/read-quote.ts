import { readMoneyText } from '$lib/core/units/money';
import { readQuantityText } from '$lib/core/units/quantity-text';
import type { FieldError } from '$lib/schemas/field-error';

export type QuoteTexts = { price?: string; shipping?: string; netMass?: string; quantity: number };
export type QuoteNumbers = { priceMinor: number; shippingMinor: number; netMassG: number };

const MONEY_WORDS = {
	empty: 'is missing',
	notANumber: 'is not a price such as 21.90',
	ambiguous: 'has two decimal marks; type one, comma or point',
	tooManyDecimals: 'has more than two decimals'
};
/** Cents of a price column that still is a price, not a phone number. */
const DEAREST_MINOR = 10_000_000;

/** Price, shipping and net mass as typed. `numbers` is null when there are errors or no price; a lone net mass is fine. */
export function readQuote(texts: QuoteTexts): { numbers: QuoteNumbers | null; netMassG: number | null; errors: FieldError[] } {
	const errors: FieldError[] = [];
	const money = (path: 'price' | 'shipping', positive: boolean): number => {
		const read = readMoneyText(texts[path] ?? '0');
		if (!read.ok) errors.push({ path, code: read.reason, message: MONEY_WORDS[read.reason] });
		else if (read.minor < 0 || (positive && read.minor === 0))
			errors.push({ path, code: 'notPositive', message: positive ? 'must be above zero' : 'cannot be below zero' });
		else if (read.minor > DEAREST_MINOR) errors.push({ path, code: 'outOfRange', message: 'is not a believable price' });
		else return read.minor;
		return 0;
	};
	const priceMinor = texts.price ? money('price', true) : null;
	const shippingMinor = texts.shipping ? money('shipping', false) : 0;
	const netMassG = readNetMass(texts.netMass, errors);
	if (priceMinor !== null && netMassG === null && !texts.netMass)
		errors.push({ path: 'netMass', code: 'missing', message: 'is missing: without it there is no price per kilogram' });
	const numbers = priceMinor !== null && netMassG !== null && errors.length === 0 ? { priceMinor, shippingMinor, netMassG } : null;
	return { numbers, netMassG, errors };
}

function readNetMass(text: string | undefined, errors: FieldError[]): number | null {
	if (!text) return null;
	const refuse = (code: string, message: string, suggestion?: string) => {
		errors.push({ path: 'netMass', code, message, ...(suggestion ? { suggestion } : {}) });
		return null;
	};
	const read = readQuantityText(text, 'mass');
	if (!read.ok)
		return refuse(
			read.reason,
			read.reason === 'unknownUnit' ? `has an unknown unit; known here: ${read.allowed.join(', ')}` : 'is not a mass such as 1000 g or 1 kg'
		);
	if (read.value <= 0) return refuse('notPositive', 'must be above zero');
	// "1" or "0.75" is a kilogram figure with its unit left out; nobody sells a gram of filament.
	if (read.value < 10) return refuse('slip', `is only ${read.value} g: did you mean ${read.value} kg?`, `${read.value} kg`);
	if (read.value > 50_000) return refuse('outOfRange', 'is not a believable net mass of one spool');
	return read.value;
}
