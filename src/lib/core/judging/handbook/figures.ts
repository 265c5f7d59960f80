/** A figure of the handbook with where it comes from. A range has two ends, a single figure the same twice. */
export type HandbookFigure = { low: number; high: number; source: string } | null;

/** What the handbook says of a material. Demands that are not known are null, not "no". */
export type MaterialFigures = {
	material: string;
	dryingC: HandbookFigure;
	dryingH: HandbookFigure;
	/** For how long a dried spool in the open still counts as dried, h; the upper end. */
	dryForH: HandbookFigure;
	softeningC: HandbookFigure;
	densityGcm3: HandbookFigure;
	/** Hot end the printer must reach. */
	hotEndC: HandbookFigure;
	hardenedNozzle: boolean | null;
	enclosure: boolean | null;
	fumes: string;
	feeder: string;
	/** Own copy of the workshop, or the figures Draught came with. */
	edited: boolean;
};
