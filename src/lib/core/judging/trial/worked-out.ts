import type { LoadUnit } from '../../record/readings/load-unit';
import type { SpecimenMeasure } from '../../record/evidence/specimen';
import type { LevelEffect } from '../../kernel/stats/additive-effects';

/** How much more a mark comes out on one printer than on another, for the same spool in the same condition. */
export type PrinterEffect = Pick<LevelEffect, 'against' | 'shift' | 'standardError' | 'df' | 'low' | 'high'> & {
	quantity: string;
	pieceId: string;
	printer: string;
	/** Prints of spools that were seen on both, and which spools those are. */
	prints: number;
	spoolIds: string[];
};

/** How much more a mark comes out on another piece than on the one it is compared on, on the scale of its model, for the same spool in the same condition. */
export type PieceEffect = Pick<LevelEffect, 'against' | 'shift' | 'standardError' | 'low' | 'high'> & {
	quantity: string;
	pieceId: string;
	/** Both with their versions. */
	piece: string;
	againstPiece: string;
	/** Prints of spools that were printed on both, and which spools those are. */
	prints: number;
	spoolIds: string[];
};

/** How much higher one scorer marks than another, for the same prints: in the unit of the mark's readings, in words for marks in words. */
export type ScorerEffect = Pick<LevelEffect, 'against' | 'shift' | 'standardError' | 'low' | 'high'> & {
	quantity: string;
	scorer: string;
	/** Scorings of prints that he and others have scored. */
	scorings: number;
};

/** Somebody or something that marks a quantity differently by an amount that is not known. */
export type Unbridged = { quantity: string; kind: 'printer' | 'scorer'; name: string };

/** What follows from the spools of a trial and is worked out anew whenever they are seen. */
export type WorkedOut = {
	/** Diameter the profile assumes. */
	nominalMm: number;
	/** For each quantity of prints the pieces it is compared on: the one that counts first, then other versions of it. Marks of others stay on the spool page. */
	markPieces: Record<string, string[]>;
	/** The unit loads are shown in. */
	loadUnit: LoadUnit;
	/** Price of a kilogram that others are weighed against, in the trial's currency; null while nothing is priced. */
	costReference: number | null;
	/** The kind of specimen that is compared, by what it is measured in; null while there is none. */
	specimenKinds: Record<SpecimenMeasure, string | null>;
	/** Kinds of specimen that were chosen by hand; what is not chosen is the most common. */
	chosenKinds: Partial<Record<SpecimenMeasure, string>>;
	/** Shifts of printers that are taken out of measured marks; empty where the trial leaves them in. */
	printerEffects: PrinterEffect[];
	/** Printers and scorers that no spool or print ties to the one the marks are told against: what they add nobody knows. */
	unbridged: Unbridged[];
	/** What other pieces of the trial add to a mark, beside the one it is compared on. */
	pieceEffects: PieceEffect[];
	/** Leniencies of scorers that are taken out of their marks; empty where the trial leaves them in. */
	scorerEffects: ScorerEffect[];
};
