import type { QuantityDef } from '../../../judging/finding/types';
import { LOAD_WORDS } from '../../../record/marks/mark-words';

const STATION = { station: 'prints', target: null } as const;

/** Share of prints that finish, failures charged to the filament only. */
export const printSuccess: QuantityDef = {
	...STATION,
	id: 'printSuccess',
	unit: '',
	direction: 'more',
	scale: { low: 0.5, high: 1 },
	prior: { low: 0.5, high: 1 },
	differenceThatMatters: 0.1,
	figure: 'share',
	onSheet: true,
	family: 'printsEasily'
};

/** Fastest feed rate at which a print of a flexible filament finished, per cent of the profile's. */
export const feedRate: QuantityDef = {
	...STATION,
	id: 'feedRate',
	unit: '%',
	direction: 'more',
	scale: { low: 0, high: 100 },
	prior: { low: 30, high: 70 },
	differenceThatMatters: 10,
	figure: 'steps',
	onSheet: 'weighed',
	family: 'feeds'
};

/** Hardness as it is stated, Shore A: an order of flexibles, no praise. */
export const statedHardness: QuantityDef = {
	...STATION,
	id: 'statedHardness',
	unit: 'Shore A',
	direction: 'less',
	scale: { low: 60, high: 100 },
	prior: { low: 75, high: 98 },
	differenceThatMatters: 5,
	figure: 'dot',
	onSheet: 'seen',
	family: null
};

/** How a flexible strand went into the feeder. */
export const loadEffort: QuantityDef = {
	...STATION,
	id: 'loadEffort',
	unit: '',
	direction: 'less',
	scale: { low: 0, high: LOAD_WORDS.length - 1 },
	prior: { low: 0, high: LOAD_WORDS.length - 1 },
	differenceThatMatters: 1,
	figure: 'words',
	onSheet: 'weighed',
	family: 'feeds',
	words: LOAD_WORDS.map((word) => `loadEffort.${word}`)
};
