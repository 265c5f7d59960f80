import { median } from 'd3-array';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import { countedQuote } from './counted-quote';
import { pricePerKgOf } from './price-per-kg';

/**
 * What one pays today for a kilogram, against which prices are weighed: the house spool's price, if it has one, else the middle one of the
 * candidates'. Null while nothing is priced.
 * Source: house rule.
 * @param house the reference spool of the same material; null without one
 * @returns whole units of the currency per kilogram
 * @example costReference([{ quotes }, { quotes: [] }], null, { currency: 'EUR' }) // 21.9
 */
export function costReference(
	candidates: readonly Pick<SpoolEvidence, 'quotes'>[],
	house: Pick<SpoolEvidence, 'quotes'> | null,
	basis: Pick<Basis, 'currency'>
): number | null {
	const priceOf = (spool: Pick<SpoolEvidence, 'quotes'>) => {
		const quote = countedQuote(spool, basis);
		return quote ? pricePerKgOf(quote) : null;
	};
	return (house && priceOf(house)) ?? median(candidates, priceOf) ?? null;
}
