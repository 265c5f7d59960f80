import type { ConditionKind, Direction, Family } from '../../record/lists/closed-lists';
import type { Message } from './message';
import type { None } from './none';

/** The one language all stations speak: plain JSON, no functions, dates, NaN or Infinity. */

export type Interval = { low: number; high: number; level: number | null; kind: 'confidence' | 'tolerance' | 'credible' | 'bounds' };

/** How the pick may draw the true value. `unknown` is never zero: it is drawn over the quantity's prior. */
export type Sampling =
	| { kind: 't'; mean: number; standardError: number; df: number | null }
	| { kind: 'beta'; a: number; b: number }
	| { kind: 'bounds'; low: number; high: number }
	| { kind: 'quantiles'; probabilities: number[]; values: number[] }
	| { kind: 'exact'; value: number }
	/** Tried, and there is none: the cost of good prints of a spool that never finished one. */
	| { kind: 'never'; reason: Message }
	/** `expected`: how such spools usually are, where a record or an assumption says; else anything within the prior of the quantity. */
	| { kind: 'unknown'; reason: Message; expected?: { probabilities: number[]; values: number[] } };

/**
 * An error that several spools have in common (one caliper, one scorer, what was taken out for a printer): drawn once for all of them, so
 * that it cancels where they are compared. Its standard deviation in the unit of the quantity.
 */
export type SharedPart = { source: string; sd: number };

export type Grade = 'none' | 'thin' | 'fair' | 'firm';

/** What an act that would improve a finding needs to be told of. */
export type ActParams = {
	unbox: None;
	measureDiameter: None;
	/** Null for any of the trial's pieces. */
	printPiece: { pieceId: string | null };
	markPiece: { pieceId: string };
	addPrice: { currency: string | null };
	measureOwn: { name: string };
	weigh: None;
	dryWeighed: None;
	/** Specimens the spool has of another kind than the compared one. */
	loadSpecimen: { otherKind: number };
};

/** An act that would improve a finding, with how often it has to be done and how long it takes. */
export type Missing = {
	[A in keyof ActParams]: { action: A; station: string; count: number; minutes: number; params: ActParams[A] };
}[keyof ActParams];

export type FindingContext = {
	printers: string[];
	nozzles: string[];
	/** Numbers of the profile, and what stood around the print in words. */
	settings: { name: string; value: number | string }[];
	conditions: ConditionKind[];
	/** How specimens were made and loaded. */
	variants: string[];
	/** How long a spool lay in the air, in words' ids. */
	exposures: string[];
	/** Pieces a mark was taken from, each with its version. */
	pieces: string[];
	lots: string[];
	instruments: string[];
	currencies: string[];
	/** List, sale or bundle prices. */
	priceKinds: string[];
	from: number | null;
	to: number | null;
};

/** What a figure draws. The kind maps to a component of the interface; the data are already on the quantity's scale. */
export type FigureData =
	| { kind: 'none' }
	| {
			kind: 'strand';
			nominalMm: number;
			toleranceMm: number | null;
			places: { index: number; positionM: number | null; lowMm: number; highMm: number }[];
	  }
	| { kind: 'dot'; points: number[] }
	| { kind: 'steps'; lastClean: number[]; firstFaulty: (number | null)[] }
	/** Loads that broke or held specimens; `high` is null for one that never broke. */
	| { kind: 'loads'; loads: { low: number; high: number | null }[] }
	/** Water since the chosen state, per cent of the net mass, with its 95 % band; masses beside it. */
	| { kind: 'account'; points: AccountPoint[] }
	| { kind: 'words'; counts: number[] }
	| { kind: 'share'; successes: number; n: number }
	| { kind: 'bar'; base: number | null };

export type AccountPoint = { at: number; grossG: number; before: string; pct: number; lowPct: number; highPct: number };

export type Finding = {
	station: string;
	quantity: string;
	unit: string;
	subject: { spoolId: string; condition: ConditionKind | null; pieceId: string | null; variant: string | null };
	estimate: number | null;
	n: number;
	nEffective: number | null;
	interval: Interval | null;
	/** Its own part; errors shared with other spools come on top. The interval holds both. */
	sampling: Sampling;
	shared: SharedPart[];
	/** The set of priors it rests on; 0 for the house's own assumptions, null where it needs none. */
	priorSet: number | null;
	grade: Grade;
	missing: Missing[];
	context: FindingContext;
	method: string;
	source: string;
	inputs: { used: string[]; excluded: string[]; revision: number };
	messages: Message[];
	/** What it comes to in a word or two, for a cell of the sheet; null where the figure says it all. */
	word: Message | null;
	figure: FigureData;
};

/** What a quantity is: fixed once, so that a figure and a value function mean the same for every spool. */
export type QuantityDef = {
	id: string;
	station: string;
	unit: string;
	/** The unit it is shown in, where that is not the one it is computed in: what the tester types. */
	shownIn?: string;
	direction: Direction;
	/** Where `nearest` is best; null otherwise. */
	target: number | null;
	/** Fixed scale of figures and value functions, in `unit`. */
	scale: { low: number; high: number };
	/** `ratio`: a doubling is worth the same wherever it starts, as with money; else equal steps are. */
	spacing?: 'ratio';
	/** Range the pick draws from while nothing is known. */
	prior: { low: number; high: number };
	differenceThatMatters: number;
	figure: FigureData['kind'];
	/** Shown as a column of the trial sheet; `weighed`: only where the pick weighs it. */
	onSheet: boolean | 'weighed' | 'seen';
	/** What it tells of, for whoever says how much that matters; null where it is weighed by itself or not at all. */
	family: Family | null;
	/** Quantities of one aspect tell of the same thing in several ways, and share its part of the family; its own id where not said. */
	aspect?: string;
	/** Words for ordinal values, lowest first: message ids of the interface. */
	words?: string[];
	/** A tester's own name for an own measure; the interface names all others. */
	name?: string;
};
