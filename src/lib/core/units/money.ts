import { readNumberText } from './number-text';

/** Currencies with a minor unit of a hundredth; the list is short on purpose and grows on request. */
export const CURRENCIES = ['EUR', 'USD', 'GBP', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'CAD', 'AUD'] as const;

export type MoneyText = { ok: true; minor: number } | { ok: false; reason: 'empty' | 'notANumber' | 'ambiguous' | 'tooManyDecimals' };

/**
 * Reads a price as typed into minor units (cents). More than two decimals are refused rather than rounded.
 * @example readMoneyText('21,90') // { ok: true, minor: 2190 }
 */
export function readMoneyText(text: string): MoneyText {
	const number = readNumberText(text.replace(/[€$£]/g, ''));
	if (!number.ok) return number;
	if (number.rest !== '' && !(CURRENCIES as readonly string[]).includes(number.rest.toUpperCase()))
		return { ok: false, reason: 'notANumber' };
	if (number.decimals > 2) return { ok: false, reason: 'tooManyDecimals' };
	return { ok: true, minor: Math.round(number.value * 100) };
}
