import type { CURRENCIES } from '$lib/core/kernel/units/money';

type Currency = (typeof CURRENCIES)[number];

/** Where people pay in one of the others that can be chosen; everywhere else it is the first. */
const BY_REGION: Readonly<Record<string, Currency>> = {
	US: 'USD',
	GB: 'GBP',
	CH: 'CHF',
	LI: 'CHF',
	SE: 'SEK',
	NO: 'NOK',
	DK: 'DKK',
	PL: 'PLN',
	CZ: 'CZK',
	CA: 'CAD',
	AU: 'AUD'
};

/**
 * The currency a first trial is proposed in, by the locale; it is chosen beside it.
 * @example usualCurrency('en-US') // 'USD'
 */
export const usualCurrency = (locale: string): Currency => BY_REGION[new Intl.Locale(locale).maximize().region ?? ''] ?? 'EUR';
