import { readMoneyText } from '$lib/core/kernel/units/money';
import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
import { type FieldError, fieldError } from '$lib/schemas/field-error';

export type QuoteTexts = { price?: string; shipping?: string; netMass?: string; quantity: number };
export type QuoteNumbers = { priceMinor: number; shippingMinor: number; netMassG: number };

const MONEY_REFUSALS = { empty: 'missing', notANumber: 'notAPrice', ambiguous: 'ambiguous', tooManyDecimals: 'tooManyDecimals' } as const;
/** Cents of a price column that still is a price, not a phone number. */
const DEAREST_MINOR = 10_000_000;

/** Price, shipping and net mass as typed. `numbers` is null when there are errors or no price; a lone net mass is fine. */
export function readQuote(texts: QuoteTexts): { numbers: QuoteNumbers | null; netMassG: number | null; errors: FieldError[] } {
	const errors: FieldError[] = [];
	const money = (path: 'price' | 'shipping', positive: boolean): number => {
		const read = readMoneyText(texts[path] ?? '0');
		if (!read.ok) errors.push(fieldError(path, MONEY_REFUSALS[read.reason]));
		else if (read.minor < 0 || (positive && read.minor === 0)) errors.push(fieldError(path, positive ? 'notPositive' : 'negative'));
		else if (read.minor > DEAREST_MINOR) errors.push(fieldError(path, 'priceOutOfRange'));
		else return read.minor;
		return 0;
	};
	const priceMinor = texts.price ? money('price', true) : null;
	const shippingMinor = texts.shipping ? money('shipping', false) : 0;
	const netMassG = readNetMass(texts.netMass, errors);
	if (priceMinor !== null && netMassG === null && !texts.netMass) errors.push(fieldError('netMass', 'netMassMissing'));
	const numbers = priceMinor !== null && netMassG !== null && errors.length === 0 ? { priceMinor, shippingMinor, netMassG } : null;
	return { numbers, netMassG, errors };
}

/** Net mass of a reel in grams as typed; null where nothing was, or where `errors` grew. */
export function readNetMass(text: string | undefined, errors: FieldError[]): number | null {
	if (!text) return null;
	const refuse = (error: FieldError) => {
		errors.push(error);
		return null;
	};
	const read = readQuantityText(text, 'mass');
	if (!read.ok)
		return refuse(
			read.reason === 'unknownUnit'
				? fieldError('netMass', 'unknownUnit', { allowed: read.allowed.join(', ') })
				: fieldError('netMass', 'notAMass')
		);
	if (read.value <= 0) return refuse(fieldError('netMass', 'notPositive'));
	// "1" or "0.75" is a kilogram figure with its unit left out; nobody sells a gram of filament.
	if (read.value < 10) return refuse(fieldError('netMass', 'netMassSlip', { grams: read.value }, `${read.value} kg`));
	if (read.value > 50_000) return refuse(fieldError('netMass', 'netMassOutOfRange'));
	return read.value;
}
