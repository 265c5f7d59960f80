import type { QuantityDef } from '../../judging/finding/types';

/** Mass lost in the first drying that was weighed before and after, per cent of the net mass: how wet the spool came. */
export const dryingLoss: QuantityDef = {
	id: 'dryingLoss',
	station: 'drying',
	unit: '%',
	direction: 'less',
	target: null,
	scale: { low: 0, high: 1 },
	prior: { low: 0, high: 0.8 },
	differenceThatMatters: 0.1,
	figure: 'dot',
	onSheet: true,
	family: 'keepsDry'
};
