import type { QuantityDef } from '../finding/types';

/** Share of prints that finish, failures charged to the filament only. */
export const printSuccess: QuantityDef = {
	id: 'printSuccess',
	station: 'prints',
	unit: '',
	direction: 'more',
	target: null,
	scale: { low: 0.5, high: 1 },
	prior: { low: 0.5, high: 1 },
	differenceThatMatters: 0.1,
	figure: 'share',
	onSheet: true
};

/** Steepest overhang step that came out clean, degrees from the vertical. */
export const overhang: QuantityDef = {
	id: 'overhang',
	station: 'prints',
	unit: 'deg',
	direction: 'more',
	target: null,
	scale: { low: 30, high: 80 },
	prior: { low: 40, high: 75 },
	differenceThatMatters: 5,
	figure: 'steps',
	onSheet: true
};

/** Longest bridge without a loose strand. */
export const bridge: QuantityDef = {
	id: 'bridge',
	station: 'prints',
	unit: 'mm',
	direction: 'more',
	target: null,
	scale: { low: 5, high: 50 },
	prior: { low: 10, high: 45 },
	differenceThatMatters: 5,
	figure: 'steps',
	onSheet: true
};

/** Strings between two spikes, in four words. */
export const strings: QuantityDef = {
	id: 'strings',
	station: 'prints',
	unit: '',
	direction: 'less',
	target: null,
	scale: { low: 0, high: 3 },
	prior: { low: 0, high: 3 },
	differenceThatMatters: 1,
	figure: 'words',
	onSheet: true,
	words: ['strings.none', 'strings.wisp', 'strings.slight', 'strings.heavy']
};
