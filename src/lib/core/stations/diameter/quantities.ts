import type { Basis } from '../../judging/trial/basis';
import type { QuantityDef } from '../../judging/finding/types';

/**
 * Mean diameter: best at the nominal the profile assumes. A 0.02 mm offset is about 2.3 % flow: it matters.
 * @example diameterMean({ nominalMm: 2.85 }).scale // { low: 2.75, high: 2.95 }
 */
export const diameterMean = ({ nominalMm }: Pick<Basis, 'nominalMm'>): QuantityDef => ({
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
	onSheet: true,
	family: 'keepsSize',
	aspect: 'diameter'
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
	onSheet: false,
	family: null
};

/** Share of the length inside the stated tolerance, the instrument taken out: what the verdict on the claim rests on. */
export const diameterInside: QuantityDef = {
	id: 'diameterInside',
	station: 'diameter',
	unit: '',
	direction: 'more',
	target: null,
	scale: { low: 0.5, high: 1 },
	prior: { low: 0.5, high: 1 },
	differenceThatMatters: 0.05,
	figure: 'dot',
	onSheet: 'weighed',
	family: 'keepsSize',
	aspect: 'diameter'
};

/** Standard deviation along the strand, the instrument's scatter taken out. 0.01 mm is about 1.1 % of flow. */
export const diameterSpread: QuantityDef = {
	id: 'diameterSpread',
	station: 'diameter',
	unit: 'mm',
	direction: 'less',
	target: null,
	scale: { low: 0, high: 0.05 },
	prior: { low: 0, high: 0.03 },
	differenceThatMatters: 0.01,
	figure: 'dot',
	onSheet: false,
	family: 'keepsSize',
	aspect: 'diameter'
};

/** Largest less smallest diameter of one place. */
export const ovalityOf: QuantityDef = {
	id: 'ovality',
	station: 'diameter',
	unit: 'mm',
	direction: 'less',
	target: null,
	scale: { low: 0, high: 0.05 },
	prior: { low: 0, high: 0.03 },
	differenceThatMatters: 0.02,
	figure: 'dot',
	onSheet: false,
	family: 'keepsSize',
	aspect: 'diameter'
};

/** Flow ratio a strand wants; at 1 the profile needs no change. */
export const flowRatio: QuantityDef = {
	id: 'strandFlowRatio',
	station: 'diameter',
	unit: '',
	direction: 'nearest',
	target: 1,
	scale: { low: 0.9, high: 1.1 },
	prior: { low: 0.95, high: 1.05 },
	differenceThatMatters: 0.02,
	figure: 'dot',
	onSheet: false,
	family: null
};
