import type { QuantityDef } from '../finding/types';

const costScale = { low: 0, high: 60 };

/** Price and shipping of what was bought, per kilogram of filament. In the trial's currency. */
export const pricePerKg: QuantityDef = {
	id: 'pricePerKg',
	station: 'cost',
	unit: 'money/kg',
	direction: 'less',
	target: null,
	scale: costScale,
	prior: { low: 10, high: 50 },
	differenceThatMatters: 2,
	figure: 'bar',
	onSheet: false
};

/** The same with the filament that failed prints waste. */
export const costPerGoodKg: QuantityDef = { ...pricePerKg, id: 'costPerGoodKg', onSheet: true };
