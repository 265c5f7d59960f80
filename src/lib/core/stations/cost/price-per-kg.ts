/**
 * Cost of one kilogram of filament as bought, in major currency units.
 * @param order price and shipping of the whole order in minor units, its number of spools, and the net mass of one in grams
 * Errors: throws a RangeError when quantity or net mass is not positive.
 * Source: arithmetic.
 * @returns whole units of the currency per kilogram
 * @example pricePerKgOf({ priceMinor: 3980, shippingMinor: 490, quantity: 2, netMassG: 1000 }) // 22.35
 */
export function pricePerKgOf(order: { priceMinor: number; shippingMinor: number; quantity: number; netMassG: number }): number {
	if (!(order.quantity > 0) || !(order.netMassG > 0)) throw new RangeError('pricePerKgOf: quantity and net mass must be positive');
	return (order.priceMinor + order.shippingMinor) / 100 / ((order.quantity * order.netMassG) / 1000);
}
