import type { QuantityDef } from '../finding/types';
import type { MarkId } from '../pieces/types';
import { SURFACE_FAULTS } from '../readings/quantities';
import {
	bedHold,
	bridge,
	bridgeSag,
	cornerLift,
	overhang,
	overhangAway,
	photoStrings,
	printOdour,
	SHRINKAGES,
	smallText,
	stringCount,
	stringCoverage,
	strings,
	supportRemoval,
	surface,
	temperatureWindow
} from './quantities';

/** How a quantity is read off the prints of a piece: as a ladder, in words, measured, or as a window between two floors. */
export type MarkDef = {
	def: QuantityDef;
	mark: MarkId;
	/** Asked of every print where this is not said; else only if somebody wants it, or never, being measured off a photograph. */
	asked?: 'onRequest' | 'photo';
} & (
	| {
			kind: 'ladder';
			lastClean: string;
			firstFaulty: string;
			/** Distance of two steps where the piece does not state its own. */
			usualStep: number;
	  }
	/** Of several readings of one print the highest rank counts. */
	| { kind: 'words'; readings: readonly string[] }
	/** A length as measured, or its shortfall against the size of the piece. */
	| { kind: 'measure'; reading: string; against: string | null }
	| { kind: 'window'; from: string; to: string; usualStep: number }
);

/** Every quantity that is read off a piece. A mark belongs to a piece, so each has its own finding a piece. */
export const MARKS: readonly MarkDef[] = [
	{ def: overhang, mark: 'overhang', kind: 'ladder', lastClean: 'overhangLastClean', firstFaulty: 'overhangFirstFaulty', usualStep: 5 },
	{
		def: overhangAway,
		mark: 'overhangAway',
		kind: 'ladder',
		lastClean: 'overhangAwayLastClean',
		firstFaulty: 'overhangAwayFirstFaulty',
		usualStep: 5
	},
	{ def: bridge, mark: 'bridge', kind: 'ladder', lastClean: 'bridgeLongestClean', firstFaulty: 'bridgeFirstFaulty', usualStep: 5 },
	{ def: bridgeSag, mark: 'bridge', kind: 'measure', reading: 'bridgeSag', against: null },
	{ def: strings, mark: 'strings', kind: 'words', readings: ['strings'] },
	{ def: stringCount, mark: 'strings', kind: 'measure', reading: 'stringCount', against: null, asked: 'onRequest' },
	{ def: stringCoverage, mark: 'strings', kind: 'measure', reading: 'stringCoverage', against: null, asked: 'photo' },
	{ def: photoStrings, mark: 'strings', kind: 'measure', reading: 'photoStrings', against: null, asked: 'photo' },
	{ def: temperatureWindow, mark: 'temperature', kind: 'window', from: 'cleanFrom', to: 'cleanTo', usualStep: 5 },
	{ def: cornerLift, mark: 'cornerLift', kind: 'measure', reading: 'cornerLift', against: null },
	{ def: bedHold, mark: 'adhesion', kind: 'words', readings: ['bedHold'] },
	{ def: supportRemoval, mark: 'supports', kind: 'words', readings: ['supportRemoval'] },
	{ def: surface, mark: 'surface', kind: 'words', readings: SURFACE_FAULTS },
	{ def: smallText, mark: 'smallText', kind: 'measure', reading: 'smallestText', against: null },
	{ def: SHRINKAGES.X, mark: 'dimensions', kind: 'measure', reading: 'sizeX', against: 'alongX' },
	{ def: SHRINKAGES.Y, mark: 'dimensions', kind: 'measure', reading: 'sizeY', against: 'alongY' },
	{ def: SHRINKAGES.Z, mark: 'dimensions', kind: 'measure', reading: 'sizeZ', against: 'alongZ' },
	{ def: printOdour, mark: 'odour', kind: 'words', readings: ['printOdour'] }
];
