import type { QuantityDef } from '../../judging/finding/types';
import type { Basis } from '../../judging/trial/basis';

/** What stands for a usual price while nothing of a trial is priced, in its currency (common practice, no source). */
const NO_PRICE_YET = 20;
/** Half the reference price is worth 1, double is worth 0, and equal ratios are worth the same. */
const RATIO = 2;
/** A tenth of the reference price matters (common practice, no source). */
const MATTERS = 0.1;

/**
 * Price and shipping of what was bought, per kilogram of filament, in the trial's currency. The scale is one of ratios about the reference
 * price, which is what one pays today; so it is right in every currency.
 * Source: house rule.
 * @example pricePerKg({ costReference: 20 }).scale // { low: 10, high: 40 }
 */
export function pricePerKg({ costReference }: Pick<Basis, 'costReference'>): QuantityDef {
	const reference = costReference ?? NO_PRICE_YET;
	const range = { low: reference / RATIO, high: reference * RATIO };
	return {
		id: 'pricePerKg',
		station: 'cost',
		unit: 'money/kg',
		direction: 'less',
		target: null,
		scale: range,
		spacing: 'ratio',
		prior: range,
		differenceThatMatters: reference * MATTERS,
		figure: 'bar',
		onSheet: false,
		family: null
	};
}

/**
 * The same with the filament that failed prints waste.
 * @example costPerGoodKg({ costReference: 20 }).onSheet // true
 */
export const costPerGoodKg = (basis: Pick<Basis, 'costReference'>): QuantityDef => ({
	...pricePerKg(basis),
	id: 'costPerGoodKg',
	onSheet: true,
	family: 'cost'
});
