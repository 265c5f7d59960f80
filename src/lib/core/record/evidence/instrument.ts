export type Instrument = {
	id: string;
	name: string;
	quantity: string;
	resolution: number | null;
	errorLimit: number | null;
	checks: InstrumentCheck[];
	studies: InstrumentStudy[];
};

/** Readings of something of known size: what the instrument shows too much, and how far it scatters. In the instrument's canonical unit. */
export type InstrumentCheck = {
	id: string;
	at: number;
	reference: number;
	/** Stated error limit of the reference itself. */
	referenceLimit: number;
	bias: number;
	/** Null for a single reading. */
	repeatability: number | null;
	n: number;
};

/** What a gauge study found of an instrument in its users' hands, in the instrument's canonical unit. */
export type InstrumentStudy = {
	id: string;
	at: number;
	places: number;
	raters: number;
	repeats: number;
	/** Scatter of one rater's readings of one place, with what raters see otherwise at single places. */
	repeatabilitySd: number;
	/** Spread of the raters' own levels; 0 where none was told. */
	ratersSd: number;
};
