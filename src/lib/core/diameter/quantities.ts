import type { QuantityDef } from '../finding/types';

/** Mean diameter: best at the nominal the profile assumes. A 0.02 mm offset is about 2.3 % flow: it matters. */
export const diameterMean: QuantityDef = {
	id: 'diameterMean',
	station: 'diameter',
	unit: 'mm',
	direction: 'nearest',
	target: 1.75,
	scale: { low: 1.65, high: 1.85 },
	prior: { low: 1.7, high: 1.8 },
	differenceThatMatters: 0.02,
	figure: 'strand',
	onSheet: true
};

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
