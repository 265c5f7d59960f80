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
	ownMeasureId: string | null;
};

export type Instrument = { id: string; name: string; quantity: string; resolution: number | null; errorLimit: number | null };

export type Claim = { id: string; quantity: string; source: 'label' | 'listing'; value: number };

export type Quote = {
	id: string;
	priceMinor: number;
	shippingMinor: number;
	currency: string;
	quantity: number;
	netMassG: number;
	seenAt: number;
	kind: 'list' | 'sale' | 'bundle';
};

export type SpoolEvent = Amended & { id: string; kind: 'opened' | 'exposed' | 'dried' | 'printed' | 'respooled' | 'cutOff'; at: number };

export type Piece = {
	id: string;
	name: string;
	version: number;
	overhangStepDeg: number | null;
	bridgeStepMm: number | null;
	gramsG: number | null;
};

export type FailureCause = 'filament' | 'printer' | 'setUp' | 'handling' | 'unknown';

export const FAILURE_CAUSES: readonly FailureCause[] = ['filament', 'printer', 'setUp', 'handling', 'unknown'];

/** Print settings of one attempt. A setting that was not noted is null, not a guess. */
export type PrintSettings = {
	nozzleC: number | null;
	bedC: number | null;
	fanPct: number | null;
	speedPct: number | null;
	flowPct: number | null;
	retractionMm: number | null;
};

export type Attempt = Amended & {
	id: string;
	pieceId: string;
	at: number;
	outcome: 'finished' | 'failed';
	percentReached: number;
	cause: FailureCause | null;
	printer: string | null;
	nozzle: string | null;
	settings: PrintSettings;
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
		lot: string | null;
		obtained: 'bought' | 'suppliedFree' | 'gift' | null;
		revision: number;
	};
	claims: Claim[];
	/** The quote a purchase joined to this spool, newest first, else the filament's quotes. Empty while the trial is blind. */
	quotes: Quote[];
	pricesHidden: boolean;
	readings: Reading[];
	attempts: Attempt[];
	events: SpoolEvent[];
	instruments: Instrument[];
	pieces: Piece[];
};

type ConditionPolicy = 'asReceived' | 'driedFirst' | 'both';
type SettingsPolicy = 'fixed' | 'label' | 'preset' | 'calibrated';
export type ValueRule = 'weighted' | 'perMoney' | 'cheapest';

/** What a trial holds equal and what may vary. */
export type Protocol = {
	settingsPolicy: SettingsPolicy;
	conditionPolicy: ConditionPolicy;
	/** The piece whose marks are compared; marks of other pieces stay on the spool page. */
	mainPieceId: string;
	repeats: number;
	diameterPlaces: number;
	diameterDirections: number;
	ownMeasures: OwnMeasure[];
};

export type ConditionAt = { kind: ConditionKind; since: number | null };
