import { expect, it } from 'vitest';
import { usualCurrency } from './usual-currency';

it.each([
	['en-US', 'USD'],
	['en', 'USD'],
	['en-GB', 'GBP'],
	['de', 'EUR'],
	['de-CH', 'CHF'],
	['fr-FR', 'EUR'],
	['ja-JP', 'EUR']
])('a tester of %s is proposed %s', (locale, currency) => expect(usualCurrency(locale)).toBe(currency));
