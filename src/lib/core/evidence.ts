import type {
	BEFORE,
	CLAIM_RULES,
	CLAIM_SOURCES,
	CONDITION_POLICIES,
	EVENT_KINDS,
	FAILURE_CAUSES,
	FAILURE_RULES,
	LOAD_METHODS,
	OBTAINED,
	ORIENTATIONS,
	PRINT_OUTCOMES,
	QUOTE_KINDS,
	SETTINGS_POLICIES,
	VALUE_RULES
} from './closed-lists';
import type { PrinterEffect } from './prints/printer-effect';
import type { ScorerEffect } from './prints/scorer-effect';
import type { PieceMark } from './pieces/types';
import type { LogSummary } from './diameter/log/summary';
import type { ConditionKind, Direction } from './finding/types';

/** What the server hands to core: the evidence of one spool after amendments, as plain JSON. Times are epoch milliseconds. */

type RecordStatus = 'counts' | 'excluded';

/** What amendments have made of a raw record; the raw record itself is kept beside it by the server. */
export type Amended = { status: RecordStatus; corrected: boolean; confirmed: boolean };

export type Reading = Amended & {
	id: string;
	station: string;
	quantity: string;
	/** In the canonical unit; null for a reading that is words only. */
	value: number | null;
	typedText: string;
	typedUnit: string;
	resolution: number | null;
	takenAt: number;
	instrumentId: string | null;
	placeIndex: number | null;
	positionM: number | null;
	direction: string | null;
	attemptId: string | null;
	specimenId: string | null;
	ownMeasureId: string | null;
	/** For a weighing: what the tester says lay before it; null leaves it to be inferred from the record. */
	before: Before | null;
	/** Who scored a mark; null where nobody was named. */
	scorer: string | null;
};

/** What lay between two weighings of one spool. Air stands for everything in which water comes or goes by itself. */
export type Before = (typeof BEFORE)[number];

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

export type Claim = { id: string; quantity: string; source: (typeof CLAIM_SOURCES)[number]; value: number };

export type Quote = {
	id: string;
	priceMinor: number;
	shippingMinor: number;
	currency: string;
	quantity: number;
	netMassG: number;
	seenAt: number;
	kind: (typeof QUOTE_KINDS)[number];
};

/** A drying is dated by its end: from then on the spool is dried. */
export type SpoolEvent = Amended & {
	id: string;
	kind: (typeof EVENT_KINDS)[number];
	at: number;
	drying: { runId: string; startedAt: number; setPointC: number; dryer: string | null } | null;
};

/** A gauge's log of this spool. The samples stay on the server; what they say travels. */
export type LoggedStrand = Amended & {
	id: string;
	name: string;
	at: number;
	instrumentId: string | null;
	summary: LogSummary;
	/** Parts that do not count, with the amendment that says so; as many as the summary's. */
	leftOut: { amendmentId: string; reason: string; fromM: number; toM: number }[];
};

/** A record that is there but cannot be read. */
export type DamagedRecord = { kind: 'log' | 'print' | 'specimen'; id: string; name: string; at: number };

export type LoadMethod = (typeof LOAD_METHODS)[number];

/** One thing that is loaded until it breaks or holds. What happened to it are readings. */
export type Specimen = Amended & { id: string; at: number; shape: string; orientation: Orientation; method: LoadMethod };

/** How the layers lay: flat and on edge are pulled along them, upright across. */
export type Orientation = (typeof ORIENTATIONS)[number];

export type Piece = {
	id: string;
	/** Versions of one piece share it. */
	familyId: string;
	version: number;
	name: string;
	/** What is looked at on it, with the steps of ladders. */
	marks: PieceMark[];
	/** Sizes of a piece that was made here; null for a model of the tester's own. */
	params: Record<string, number> | null;
};

export type FailureCause = (typeof FAILURE_CAUSES)[number];

/** Print settings of one attempt. A setting that was not noted is null, not a guess. */
export type PrintSettings = {
	nozzleC: number | null;
	bedC: number | null;
	fanPct: number | null;
	speedPct: number | null;
	flowPct: number | null;
	retractionMm: number | null;
	pressureAdvance: number | null;
};

/** What stood around a print and is told in words: what is not said is not compared. */
export const SET_UP = ['bedSurface', 'bedAgent', 'profile', 'profileVersion', 'enclosure', 'fedFrom'] as const;
export type SetUp = Partial<Record<(typeof SET_UP)[number], string>>;

export type Attempt = Amended & {
	id: string;
	pieceId: string;
	at: number;
	outcome: (typeof PRINT_OUTCOMES)[number];
	percentReached: number;
	cause: FailureCause | null;
	printer: string | null;
	nozzle: string | null;
	settings: PrintSettings;
	setUp: SetUp;
	/** What it took, as weighed or as the slicer says; null where it was not noted. */
	gramsG: number | null;
	/** SHA-256 of the sliced file; null where it was not noted. */
	fileHash: string | null;
	/** What was changed while it printed; null for nothing. */
	midPrint: string | null;
};

export type OwnMeasure = { id: string; name: string; unit: string; direction: Direction; low: number; high: number };

export type SpoolEvidence = {
	spool: {
		id: string;
		code: string;
		colourName: string | null;
		colourHex: string | null;
		/** Null while the trial is blind. */
		maker: string | null;
		filament: string | null;
		material: string;
		reelMaterial: string | null;
		lot: string | null;
		obtained: (typeof OBTAINED)[number] | null;
		revision: number;
	};
	claims: Claim[];
	/** The quote a purchase joined to this spool, newest first, else the filament's quotes. Empty while the trial is blind. */
	quotes: Quote[];
	pricesHidden: boolean;
	readings: Reading[];
	attempts: Attempt[];
	specimens: Specimen[];
	/** Logs of a line gauge, oldest first, already worked out. */
	logs: LoggedStrand[];
	events: SpoolEvent[];
	/** Records of this spool that cannot be read, and count nowhere: no form and no file would take them. */
	damaged: DamagedRecord[];
	instruments: Instrument[];
	pieces: Piece[];
};

type ConditionPolicy = (typeof CONDITION_POLICIES)[number];
type SettingsPolicy = (typeof SETTINGS_POLICIES)[number];
type ClaimRule = (typeof CLAIM_RULES)[number];
export type FailureRule = (typeof FAILURE_RULES)[number];
export type ValueRule = (typeof VALUE_RULES)[number];

/** What a trial holds equal and what may vary. */
export type Protocol = {
	settingsPolicy: SettingsPolicy;
	conditionPolicy: ConditionPolicy;
	/** The pieces a trial prints, in order. */
	pieceIds: string[];
	/** For each quantity of prints the pieces it is compared on: the one that counts first, then other versions of it. Marks of others stay on the spool page. */
	markPieces: Record<string, string[]>;
	/** Which failures count against a filament. */
	failureRule: FailureRule;
	/** Shifts of printers that are taken out of measured marks; empty where the trial leaves them in. */
	printerEffects: PrinterEffect[];
	/** Leniencies of scorers that are taken out of their marks; empty where the trial leaves them in. */
	scorerEffects: ScorerEffect[];
	repeats: number;
	diameterPlaces: number;
	diameterDirections: number;
	/** By which rule a maker's tolerance is judged. */
	claimRule: ClaimRule;
	/** Diameter the profile assumes. */
	nominalMm: number;
	/** What the trial counts in; prices in another currency are no prices here. Null outside a trial. */
	currency: string | null;
	/** Top of the strength scale: a hook and a tensile bar break at very different loads. */
	strengthHighN: number;
	/** The kind of specimen that is compared, by what it is measured in; null while there is none. */
	specimenKinds: Record<SpecimenMeasure, string | null>;
	ownMeasures: OwnMeasure[];
	/** Scatter that the house spool's repeats lend to spools with one print or specimen. */
	lent: LentScatter[];
	handbook: MaterialFigures[];
	/** What the trial's printer can do; null where no printer is named or nothing is known of it. */
	printer: PrinterAbilities | null;
};

/** What a specimen's result is told in. */
export type SpecimenMeasure = 'load' | 'blows' | 'byHand';

/** Standard deviation of the house spool's repeats of one quantity; of the logarithm where `relative`. */
export type LentScatter = {
	quantity: string;
	subject: string | null;
	sd: number;
	df: number;
	n: number;
	code: string;
	relative: boolean;
};

export type PrinterAbilities = {
	name: string;
	hotEndMaxC: number | null;
	hardenedNozzle: boolean | null;
	enclosed: boolean | null;
	/** Bores that a thickening has to pass. */
	feedPathMm: number | null;
	throatMm: number | null;
};

/** A figure of the handbook with where it comes from. A range has two ends, a single figure the same twice. */
type HandbookFigure = { low: number; high: number; source: string } | null;

/** What the handbook says of a material. Demands that are not known are null, not "no". */
export type MaterialFigures = {
	material: string;
	dryingC: HandbookFigure;
	dryingH: HandbookFigure;
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

export type ConditionAt = { kind: ConditionKind; since: number | null };
