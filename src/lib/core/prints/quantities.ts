import type { QuantityDef } from '../finding/types';
import { BED_WORDS, LOAD_WORDS, SEVERITY_WORDS, STRING_WORDS, SUPPORT_WORDS } from '../readings/quantities';

type Range = readonly [low: number, high: number];
const range = ([low, high]: Range) => ({ low, high });

/**
 * A measured quantity of prints. Most have a column only where the pick weighs them.
 * @param scale of figures and value functions; @param prior what it is while nothing is known; @param matters the difference that does
 */
function measured(
	id: string,
	unit: string,
	direction: QuantityDef['direction'],
	{ scale, prior, matters }: { scale: Range; prior: Range; matters: number },
	more: Partial<QuantityDef> = {}
): QuantityDef {
	const ranges = { scale: range(scale), prior: range(prior), differenceThatMatters: matters };
	return { id, station: 'prints', unit, direction, target: null, ...ranges, figure: 'dot', onSheet: 'weighed', ...more };
}

/** An ordinal mark in four words, rank 0 to 3. */
function inWords(
	id: string,
	direction: 'more' | 'less',
	words: readonly string[],
	onSheet: QuantityDef['onSheet'] = 'weighed'
): QuantityDef {
	const ranks: Range = [0, words.length - 1];
	const as = { figure: 'words', onSheet, words: words.map((word) => `${id}.${word}`) } as const;
	return measured(id, '', direction, { scale: ranks, prior: ranks, matters: 1 }, as);
}

const STEPS = { figure: 'steps' } as const;
const COLUMN = { onSheet: true } as const;

/** Share of prints that finish, failures charged to the filament only. */
export const printSuccess = measured(
	'printSuccess',
	'',
	'more',
	{ scale: [0.5, 1], prior: [0.5, 1], matters: 0.1 },
	{ figure: 'share', ...COLUMN }
);

const OVERHANG = { scale: [30, 80], prior: [40, 75], matters: 5 } as const;

/** Steepest overhang step that came out clean, degrees from the vertical. */
export const overhang = measured('overhang', 'deg', 'more', OVERHANG, { ...STEPS, ...COLUMN });

/** The same on the side away from the part fan, where a piece has both. */
export const overhangAway = measured('overhangAway', 'deg', 'more', OVERHANG, STEPS);

/** Longest bridge without a loose strand. */
export const bridge = measured('bridge', 'mm', 'more', { scale: [5, 50], prior: [10, 45], matters: 5 }, { ...STEPS, ...COLUMN });

/** Sag of the longest bridge at its middle. */
export const bridgeSag = measured('bridgeSag', 'mm', 'less', { scale: [0, 5], prior: [0, 3], matters: 0.5 });

/** Strings between two spikes, in four words. */
export const strings = inWords('strings', 'less', STRING_WORDS, true);

const STRANDS = { scale: [0, 40], prior: [0, 20], matters: 3 } as const;

/** Strands counted between two spikes by eye. */
export const stringCount = measured('stringCount', '', 'less', STRANDS);

/** Strands that cross the gap, off a photograph. */
export const photoStrings = measured('photoStrings', '', 'less', STRANDS);

/** Share of the gap between two spikes that strands cover, off a photograph: no judged mark. */
export const stringCoverage = measured('stringCoverage', '%', 'less', { scale: [0, 20], prior: [0, 10], matters: 1 });

/** Width of the temperatures at which the floors of a ladder come out clean: a wide window forgives. */
export const temperatureWindow = measured('temperatureWindow', 'K', 'more', { scale: [0, 40], prior: [5, 30], matters: 5 }, STEPS);

/** Fastest feed rate at which a print of a flexible filament finished, per cent of the profile's. */
export const feedRate = measured('feedRate', '%', 'more', { scale: [0, 100], prior: [30, 70], matters: 10 }, STEPS);

/** How a flexible strand went into the feeder. */
export const loadEffort = inWords('loadEffort', 'less', LOAD_WORDS);

/** How far the worst corner came off the bed. */
export const cornerLift = measured('cornerLift', 'mm', 'less', { scale: [0, 5], prior: [0, 3], matters: 0.3 });

/** Height of the smallest text that can be read. */
export const smallText = measured('smallText', 'mm', 'less', { scale: [1, 8], prior: [2, 6], matters: 1 });

/** Shrinkage along one axis, per cent of the size meant: best at none. */
const shrinkage = (axis: 'X' | 'Y' | 'Z') =>
	measured(`shrinkage${axis}`, '%', 'nearest', { scale: [-1, 3], prior: [-0.5, 2], matters: 0.3 }, { target: 0 });
export const SHRINKAGES = { X: shrinkage('X'), Y: shrinkage('Y'), Z: shrinkage('Z') };

export const bedHold = inWords('bedHold', 'more', BED_WORDS);
export const supportRemoval = inWords('supportRemoval', 'less', SUPPORT_WORDS);
export const printOdour = inWords('printOdour', 'less', SEVERITY_WORDS);
/** The worst of what is wrong with the surface of a print. */
export const surface = inWords('surface', 'less', SEVERITY_WORDS);
