import type { QuantityDef } from '../../judging/finding/types';

/** Most water taken up since the driest known state, per cent of the net mass. */
export const waterUptake: QuantityDef = {
	id: 'waterUptake',
	station: 'moisture',
	unit: '%',
	direction: 'less',
	target: null,
	scale: { low: 0, high: 1 },
	prior: { low: 0, high: 0.8 },
	differenceThatMatters: 0.1,
	figure: 'account',
	onSheet: true,
	family: 'keepsDry'
};
