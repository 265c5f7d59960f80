import type { Direction, Family } from '../lists/closed-lists';
import type { Dimension } from '../../kernel/units/dimension';
import { ANY_PIECE } from './carries';
import {
	BED_WORDS,
	EASE_WORDS,
	SAG_WORDS,
	SEVERITY_WORDS,
	SOFTNESS_WORDS,
	STRING_WORDS,
	SUPPORT_WORDS,
	SURFACE_FAULTS
} from './mark-words';

export type Range = readonly [low: number, high: number];

/** What is read off a print for a mark; `believable` are the hard limits of a reading in its canonical unit. */
type HowRead =
	| {
			kind: 'ladder';
			lastClean: string;
			firstFaulty: string;
			dimension: Dimension;
			believable: Range;
			/** Distance of two steps where the piece does not state its own. */
			usualStep: number;
	  }
	/** Words in the order of their rank. Of several readings of one print the highest rank counts. */
	| { kind: 'words'; readings: readonly string[]; words: readonly string[] }
	/** A length or a count as measured, or its shortfall against a size of the piece. */
	| { kind: 'measure'; reading: string; dimension: Dimension; believable: Range; against?: string }
	| { kind: 'window'; from: string; to: string; dimension: Dimension; believable: Range; usualStep: number };

/** A mark of a print, said once: schema, form, questions, readings, columns and words follow from it or do not compile. */
export type MarkEntry = HowRead & {
	/** What a piece has to carry for it. */
	carriedBy: string;
	/** What it tells of; marks carried by the same tell of the same aspect of it. */
	family: Family | null;
	direction: Direction;
	/** The rest is of no use for words, whose ranks are their scale. */
	unit?: string;
	/** Of figures and value functions. */
	scale?: Range;
	/** What it is while nothing is known. */
	prior?: Range;
	/** The difference that matters. */
	matters?: number;
	/** Where it is best, if nearest is best. */
	target?: number;
	/** A column of every sheet; else only where the pick weighs it. */
	column?: true;
	/** Asked with the print itself, not only at scoring; some of flexibles only. */
	withPrint?: true | 'flexible';
	/** Asked of every print where this is not said; else only if somebody wants it, or never, being measured off a photograph. */
	asked?: 'onRequest' | 'photo';
};

const DEGREES = { dimension: 'angle', believable: [0, 90], unit: 'deg', scale: [30, 80], prior: [40, 75], matters: 5 } as const;
const STRANDS = { dimension: 'count', believable: [0, 10_000], unit: '', scale: [0, 40], prior: [0, 20], matters: 3 } as const;
/** Shrinkage along one axis, per cent of the size meant: best at none. */
const SHRINKAGE = {
	family: 'keepsSize',
	carriedBy: 'dimensions',
	kind: 'measure',
	dimension: 'length',
	believable: [0.1, 1000],
	unit: '%',
	direction: 'nearest',
	target: 0,
	scale: [-1, 3],
	prior: [-0.5, 2],
	matters: 0.3
} as const;

export const MARK_ENTRIES = {
	/** Steepest overhang step that came out clean, degrees from the vertical. */
	overhang: {
		family: 'looks',
		carriedBy: 'overhang',
		kind: 'ladder',
		lastClean: 'overhangLastClean',
		firstFaulty: 'overhangFirstFaulty',
		...DEGREES,
		direction: 'more',
		usualStep: 5,
		column: true,
		withPrint: true
	},
	/** The same on the side away from the part fan, where a piece has both. */
	overhangAway: {
		family: 'looks',
		carriedBy: 'overhangAway',
		kind: 'ladder',
		lastClean: 'overhangAwayLastClean',
		firstFaulty: 'overhangAwayFirstFaulty',
		...DEGREES,
		direction: 'more',
		usualStep: 5
	},
	/** Longest bridge without a loose strand. */
	bridge: {
		family: 'looks',
		carriedBy: 'bridge',
		kind: 'ladder',
		lastClean: 'bridgeLongestClean',
		firstFaulty: 'bridgeFirstFaulty',
		dimension: 'length',
		believable: [0, 500],
		unit: 'mm',
		direction: 'more',
		scale: [5, 50],
		prior: [10, 45],
		matters: 5,
		usualStep: 5,
		column: true,
		withPrint: true
	},
	/** Sag of the longest bridge at its middle. */
	bridgeSag: {
		family: 'looks',
		carriedBy: 'bridge',
		kind: 'measure',
		reading: 'bridgeSag',
		dimension: 'length',
		believable: [0, 100],
		unit: 'mm',
		direction: 'less',
		scale: [0, 5],
		prior: [0, 3],
		matters: 0.5
	},
	/** Strings between two spikes, in four words. */
	strings: {
		family: 'looks',
		carriedBy: 'strings',
		kind: 'words',
		readings: ['strings'],
		words: STRING_WORDS,
		direction: 'less',
		column: true,
		withPrint: true
	},
	/** Strands counted between two spikes by eye. */
	stringCount: {
		family: 'looks',
		carriedBy: 'strings',
		kind: 'measure',
		reading: 'stringCount',
		...STRANDS,
		direction: 'less',
		asked: 'onRequest'
	},
	/** Share of the gap between two spikes that strands cover, off a photograph: no judged mark. */
	stringCoverage: {
		family: 'looks',
		carriedBy: 'strings',
		kind: 'measure',
		reading: 'stringCoverage',
		dimension: 'share',
		believable: [0, 100],
		unit: '%',
		direction: 'less',
		scale: [0, 20],
		prior: [0, 10],
		matters: 1,
		asked: 'photo'
	},
	/** Strands that cross the gap, off a photograph. */
	photoStrings: {
		family: 'looks',
		carriedBy: 'strings',
		kind: 'measure',
		reading: 'photoStrings',
		...STRANDS,
		direction: 'less',
		asked: 'photo'
	},
	/** Width of the temperatures at which the floors of a ladder come out clean: a wide window forgives. */
	temperatureWindow: {
		family: 'printsEasily',
		carriedBy: 'temperature',
		kind: 'window',
		from: 'cleanFrom',
		to: 'cleanTo',
		dimension: 'temperature',
		believable: [20, 500],
		unit: 'K',
		direction: 'more',
		scale: [0, 40],
		prior: [5, 30],
		matters: 5,
		usualStep: 5
	},
	/** How far the worst corner came off the bed. */
	cornerLift: {
		family: 'looks',
		carriedBy: 'cornerLift',
		kind: 'measure',
		reading: 'cornerLift',
		dimension: 'length',
		believable: [0, 50],
		unit: 'mm',
		direction: 'less',
		scale: [0, 5],
		prior: [0, 3],
		matters: 0.3
	},
	bedHold: { family: 'printsEasily', carriedBy: 'adhesion', kind: 'words', readings: ['bedHold'], words: BED_WORDS, direction: 'more' },
	supportRemoval: {
		family: 'printsEasily',
		carriedBy: 'supports',
		kind: 'words',
		readings: ['supportRemoval'],
		words: SUPPORT_WORDS,
		direction: 'less'
	},
	/** The worst of what is wrong with the surface of a print. */
	surface: { family: 'looks', carriedBy: 'surface', kind: 'words', readings: SURFACE_FAULTS, words: SEVERITY_WORDS, direction: 'less' },
	/** Height of the smallest text that can be read. */
	smallText: {
		family: 'looks',
		carriedBy: 'smallText',
		kind: 'measure',
		reading: 'smallestText',
		dimension: 'length',
		believable: [0.1, 50],
		unit: 'mm',
		direction: 'less',
		scale: [1, 8],
		prior: [2, 6],
		matters: 1
	},
	shrinkageX: { ...SHRINKAGE, reading: 'sizeX', against: 'alongX' },
	shrinkageY: { ...SHRINKAGE, reading: 'sizeY', against: 'alongY' },
	shrinkageZ: { ...SHRINKAGE, reading: 'sizeZ', against: 'alongZ' },
	/** Sag of the longest bridge in words, where nobody measures it. */
	bridgeSagWord: {
		family: 'looks',
		carriedBy: 'bridge',
		kind: 'words',
		readings: ['bridgeSagWord'],
		words: SAG_WORDS,
		direction: 'less',
		asked: 'onRequest'
	},
	/** How easily the print went: whatever the piece, every print tells it. */
	ease: {
		family: 'printsEasily',
		carriedBy: ANY_PIECE,
		kind: 'words',
		readings: ['ease'],
		words: EASE_WORDS,
		direction: 'more',
		withPrint: true,
		asked: 'onRequest'
	},
	/** How soft the print feels: of flexible filaments the reason to buy one, of others a warning. Better for some uses and worse for others. */
	softness: {
		family: null,
		carriedBy: ANY_PIECE,
		kind: 'words',
		readings: ['softness'],
		words: SOFTNESS_WORDS,
		direction: 'more',
		withPrint: 'flexible',
		asked: 'onRequest'
	},
	printOdour: { family: null, carriedBy: 'odour', kind: 'words', readings: ['printOdour'], words: SEVERITY_WORDS, direction: 'less' }
} as const satisfies Record<string, MarkEntry>;

type Entries = typeof MARK_ENTRIES;

/** The quantities that are marks of prints. */
export type MarkQuantity = keyof Entries;

type ReadOff<E> = E extends { lastClean: infer A; firstFaulty: infer B }
	? A | B
	: E extends { from: infer A; to: infer B }
		? A | B
		: E extends { reading: infer R }
			? R
			: E extends { readings: readonly (infer R)[] }
				? R
				: never;

/** What is read off a print for a mark, by the mark's quantity. */
export type ReadingOf<Q extends MarkQuantity> = ReadOff<Entries[Q]>;

/** Every reading that a mark rests on. */
export type MarkReading = { [Q in MarkQuantity]: ReadingOf<Q> }[MarkQuantity];

/** What a piece can carry to be looked at. */
export type CarriedMark = Entries[MarkQuantity]['carriedBy'];

/** Words of the reading of a mark; never where it is typed as a number. */
export type WordsOf<R extends MarkReading> = {
	[Q in MarkQuantity]: R extends ReadingOf<Q> ? (Entries[Q] extends { words: readonly (infer W extends string)[] } ? W : never) : never;
}[MarkQuantity];

/** An entry with its quantity. */
export type MarkDescribed = MarkEntry & { quantity: MarkQuantity; carriedBy: CarriedMark };

/**
 * All entries with their quantity, in the order in which they are asked.
 * @example markEntries()[0].quantity // 'overhang'
 */
export const markEntries = (): MarkDescribed[] =>
	(Object.keys(MARK_ENTRIES) as MarkQuantity[]).map(
		(quantity) => ({ quantity, ...(MARK_ENTRIES[quantity] as MarkEntry) }) as MarkDescribed
	);

/**
 * The readings of one entry.
 * @example readingsOfEntry(markEntries()[0]) // ['overhangLastClean', 'overhangFirstFaulty']
 */
export function readingsOfEntry(entry: MarkEntry): readonly string[] {
	switch (entry.kind) {
		case 'ladder':
			return [entry.lastClean, entry.firstFaulty];
		case 'window':
			return [entry.from, entry.to];
		case 'measure':
			return [entry.reading];
		case 'words':
			return entry.readings;
	}
}
