import { readNumberText } from './number-text';

/** Currencies with a minor unit of a hundredth; the list is short on purpose and grows on request. */
export const CURRENCIES = ['EUR', 'USD', 'GBP', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'CAD', 'AUD'] as const;

export type MoneyText = { ok: true; minor: number } | { ok: false; reason: 'empty' | 'notANumber' | 'ambiguous' | 'tooManyDecimals' };

/** Groups of three digits behind one mark, then perhaps decimals behind a mark. */
const GROUPED = /^(\D*?\d{1,3})((?:([.,'’ \u00a0\u202f])\d{3})(?:\3\d{3})*)(?:([.,])(\d{1,2}))?(?![.,\d])/;

/** The same without its thousands marks, where they are surely that: a blank or an apostrophe, one that comes twice, one before another mark. */
function withoutThousands(text: string): string {
	const [grouped, first = '', groups = '', mark = '', decimalMark, decimals = ''] = GROUPED.exec(text) ?? [];
	if (grouped === undefined || decimalMark === mark) return text;
	const isDecimal = /[.,]/.test(mark) && groups.length === 4 && decimalMark === undefined;
	if (isDecimal) return text;
	const whole = first + groups.replaceAll(mark, '');
	return (decimalMark === undefined ? whole : `${whole}${decimalMark}${decimals}`) + text.slice(grouped.length);
}

/**
 * Reads a price as typed into minor units (cents). More than two decimals are refused rather than rounded. Thousands may be marked where the mark cannot
 * be taken for a decimal one: 1,234.50 and 1 234 are read, 1,234 is refused.
 * @example readMoneyText('21,90') // { ok: true, minor: 2190 }
 */
export function readMoneyText(text: string): MoneyText {
	const number = readNumberText(withoutThousands(text.replace(/[€$£]/g, '').trim()));
	if (!number.ok) return number;
	if (number.rest !== '' && !(CURRENCIES as readonly string[]).includes(number.rest.toUpperCase()))
		return { ok: false, reason: 'notANumber' };
	if (number.decimals > 2) return { ok: false, reason: 'tooManyDecimals' };
	return { ok: true, minor: Math.round(number.value * 100) };
}
