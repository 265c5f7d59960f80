import type { Protocol } from '../evidence';
import type { QuantityDef } from '../finding/types';

/** Mean diameter: best at the nominal the profile assumes. A 0.02 mm offset is about 2.3 % flow: it matters. */
export const diameterMean = ({ nominalMm }: Pick<Protocol, 'nominalMm'>): QuantityDef => ({
	id: 'diameterMean',
	station: 'diameter',
	unit: 'mm',
	direction: 'nearest',
	target: nominalMm,
	// Two decimals: 2.85 - 0.1 must not show as 2.7500000000000004.
	scale: { low: Number((nominalMm - 0.1).toFixed(2)), high: Number((nominalMm + 0.1).toFixed(2)) },
	prior: { low: Number((nominalMm - 0.05).toFixed(2)), high: Number((nominalMm + 0.05).toFixed(2)) },
	differenceThatMatters: 0.02,
	figure: 'strand',
	onSheet: true
});

/** Share of readings outside the stated tolerance. */
export const diameterOutside: QuantityDef = {
	id: 'diameterOutside',
	station: 'diameter',
	unit: '',
	direction: 'less',
	target: null,
	scale: { low: 0, high: 0.5 },
	prior: { low: 0, high: 0.5 },
	differenceThatMatters: 0.1,
	figure: 'share',
	onSheet: false
};
