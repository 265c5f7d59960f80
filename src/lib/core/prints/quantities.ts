import type { QuantityDef } from '../finding/types';
import { BED_WORDS, LOAD_WORDS, SEVERITY_WORDS, SUPPORT_WORDS } from '../readings/quantities';

const prints = { station: 'prints', target: null, onSheet: 'weighed' } as const;
/** An ordinal mark in four words, rank 0 to 3. */
const inWords = (id: string, direction: 'more' | 'less', words: readonly string[]): QuantityDef => ({
	...prints,
	id,
	unit: '',
	direction,
	scale: { low: 0, high: words.length - 1 },
	prior: { low: 0, high: words.length - 1 },
	differenceThatMatters: 1,
	figure: 'words',
	words: words.map((word) => `${id}.${word}`)
});

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

/** The same on the side away from the part fan, where a piece has both. */
export const overhangAway: QuantityDef = { ...overhang, id: 'overhangAway', onSheet: 'weighed' };

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

/** Strands counted between two spikes by eye. */
export const stringCount: QuantityDef = {
	...prints,
	id: 'stringCount',
	unit: '',
	direction: 'less',
	scale: { low: 0, high: 40 },
	prior: { low: 0, high: 20 },
	differenceThatMatters: 3,
	figure: 'dot'
};

/** Share of the gap between two spikes that strands cover, off a photograph: no judged mark. */
export const stringCoverage: QuantityDef = {
	...prints,
	id: 'stringCoverage',
	unit: '%',
	direction: 'less',
	scale: { low: 0, high: 20 },
	prior: { low: 0, high: 10 },
	differenceThatMatters: 1,
	figure: 'dot'
};

/** Strands that cross the gap, off a photograph. */
export const photoStrings: QuantityDef = { ...stringCount, id: 'photoStrings' };

/** Width of the temperatures at which the floors of a ladder come out clean: a wide window forgives. */
export const temperatureWindow: QuantityDef = {
	...prints,
	id: 'temperatureWindow',
	unit: 'K',
	direction: 'more',
	scale: { low: 0, high: 40 },
	prior: { low: 5, high: 30 },
	differenceThatMatters: 5,
	figure: 'steps'
};

/** Fastest feed rate at which a print of a flexible filament finished, per cent of the profile's. */
export const feedRate: QuantityDef = {
	...prints,
	id: 'feedRate',
	unit: '%',
	direction: 'more',
	scale: { low: 0, high: 100 },
	prior: { low: 30, high: 70 },
	differenceThatMatters: 10,
	figure: 'steps'
};

/** Sag of the longest bridge at its middle. */
export const bridgeSag: QuantityDef = {
	...prints,
	id: 'bridgeSag',
	unit: 'mm',
	direction: 'less',
	scale: { low: 0, high: 5 },
	prior: { low: 0, high: 3 },
	differenceThatMatters: 0.5,
	figure: 'dot'
};

/** How far the worst corner came off the bed. */
export const cornerLift: QuantityDef = {
	...prints,
	id: 'cornerLift',
	unit: 'mm',
	direction: 'less',
	scale: { low: 0, high: 5 },
	prior: { low: 0, high: 3 },
	differenceThatMatters: 0.3,
	figure: 'dot'
};

/** Height of the smallest text that can be read. */
export const smallText: QuantityDef = {
	...prints,
	id: 'smallText',
	unit: 'mm',
	direction: 'less',
	scale: { low: 1, high: 8 },
	prior: { low: 2, high: 6 },
	differenceThatMatters: 1,
	figure: 'dot'
};

/** Shrinkage along one axis, per cent of the size meant: best at none. */
const shrinkage = (axis: 'X' | 'Y' | 'Z'): QuantityDef => ({
	...prints,
	id: `shrinkage${axis}`,
	unit: '%',
	direction: 'nearest',
	target: 0,
	scale: { low: -1, high: 3 },
	prior: { low: -0.5, high: 2 },
	differenceThatMatters: 0.3,
	figure: 'dot'
});
export const SHRINKAGES = { X: shrinkage('X'), Y: shrinkage('Y'), Z: shrinkage('Z') };

export const bedHold = inWords('bedHold', 'more', BED_WORDS);
/** How a flexible strand went into the feeder. */
export const loadEffort = inWords('loadEffort', 'less', LOAD_WORDS);
export const supportRemoval = inWords('supportRemoval', 'less', SUPPORT_WORDS);
export const printOdour = inWords('printOdour', 'less', SEVERITY_WORDS);
/** The worst of what is wrong with the surface of a print. */
export const surface = inWords('surface', 'less', SEVERITY_WORDS);
