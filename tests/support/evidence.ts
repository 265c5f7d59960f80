import { factsAmong } from '../../src/lib/core/record/facts/fact-entry';
import { SPOOL_FACTS } from '../../src/lib/core/record/facts/spool-facts';
import { HANDBOOK } from '../../src/lib/core/judging/handbook/defaults';
import { NO_RECORD } from '../../src/lib/core/judging/posterior/prior-set';
import { MARK_IDS } from '../../src/lib/core/record/marks/piece-mark';
import { MARKS } from '../../src/lib/core/stations/prints/marks/marks';
import type { Attempt } from '../../src/lib/core/record/evidence/attempt';
import type { SpoolEvent } from '../../src/lib/core/record/evidence/event';
import type { Piece } from '../../src/lib/core/record/evidence/piece';
import type { Quote } from '../../src/lib/core/record/evidence/quote';
import { contextOfReading, type Reading } from '../../src/lib/core/record/evidence/reading';
import type { Specimen } from '../../src/lib/core/record/evidence/specimen';
import type { SpoolEvidence } from '../../src/lib/core/record/evidence/spool-evidence';
import type { Basis } from '../../src/lib/core/judging/trial/basis';
import type { PrinterAbilities } from '../../src/lib/core/judging/trial/bench-facts';

/** Small builders of evidence for the tests of core: everything has a plain default, a test names only what it is about. */

export const MAIN_PIECE = 'piece-1';

export const basis: Basis = {
	claimRule: 'share',
	settingsPolicy: 'label',
	conditionPolicy: 'asReceived',
	pieceIds: [MAIN_PIECE],
	markPieces: Object.fromEntries(MARKS.map(({ def }) => [def.id, [MAIN_PIECE]])),
	failureRule: 'filament',
	printerEffects: [],
	pieceEffects: [],
	loadUnit: 'N',
	scorerEffects: [],
	unbridged: [],
	repeats: 1,
	diameterPlaces: 5,
	diameterDirections: 2,
	nominalMm: 1.75,
	currency: null,
	strengthHighN: 400,
	specimenKinds: { load: null, blows: null, byHand: null },
	chosenKinds: {},
	ownMeasures: [],
	costReference: null,
	handbook: [...HANDBOOK],
	printer: null,
	priors: NO_RECORD
};

/** A piece with all marks, ladders in steps of five. */
export function piece(given: Partial<Piece> = {}): Piece {
	const steps = (mark: string) =>
		['overhang', 'overhangAway', 'bridge'].includes(mark) ? Array.from({ length: 16 }, (_, i) => 5 * (i + 1)) : null;
	const marks = MARK_IDS.map((mark) => ({ mark, steps: steps(mark) }));
	return { id: MAIN_PIECE, familyId: given.id ?? MAIN_PIECE, version: 1, name: 'ladder piece', marks, params: null, ...given };
}

let serial = 0;
const id = (prefix: string) => `${prefix}-${++serial}`;

export function reading(given: Partial<Reading> & Pick<Reading, 'station' | 'quantity'>): Reading {
	return {
		id: id('reading'),
		value: null,
		typedText: given.value === null || given.value === undefined ? '' : String(given.value),
		typedUnit: '',
		resolution: null,
		takenAt: 1000,
		...contextOfReading({}),
		status: 'counts',
		corrected: false,
		confirmed: false,
		...given
	};
}

/** Diameter readings, two a place, along and across, taken with a caliper of 0.01 mm. */
export function diameters(values: number[], more: Partial<Reading> = {}): Reading[] {
	return values.map((value, i) =>
		reading({
			station: 'diameter',
			quantity: 'diameter',
			value,
			resolution: 0.01,
			placeIndex: Math.floor(i / 2),
			direction: i % 2 ? 'across' : 'along',
			...more
		})
	);
}

export function attempt(given: Partial<Attempt> = {}): Attempt {
	return {
		id: id('attempt'),
		pieceId: MAIN_PIECE,
		at: 1000,
		outcome: 'finished',
		percentReached: 100,
		cause: null,
		failure: null,
		tuning: false,
		signs: [],
		portionId: null,
		condition: null,
		printer: 'North',
		nozzle: '0.4 brass',
		settings: { nozzleC: 215, bedC: 60, fanPct: null, speedPct: null, flowPct: null, retractionMm: null, pressureAdvance: null },
		gramsG: null,
		fileHash: null,
		midPrint: null,
		setUp: {},
		status: 'counts',
		corrected: false,
		confirmed: false,
		...given
	};
}

export const mark = (on: Attempt, quantity: string, value: number, more: Partial<Reading> = {}): Reading =>
	reading({ station: 'prints', quantity, value, attemptId: on.id, ...more });

/** A printer of which only its name is known. */
export const printerNamed = (name: string): PrinterAbilities => ({
	name,
	hotEndMaxC: null,
	hardenedNozzle: null,
	enclosed: null,
	feedPathMm: null,
	throatMm: null,
	bedMaxC: null,
	cardReels: null,
	reelMaxG: null
});

export function event(given: Partial<SpoolEvent> & Pick<SpoolEvent, 'kind' | 'at'>): SpoolEvent {
	return {
		id: id('event'),
		drying: null,
		portionId: null,
		portion: null,
		humidityPct: null,
		hours: null,
		status: 'counts',
		corrected: false,
		confirmed: false,
		...given
	};
}

export function specimen(given: Partial<Specimen> = {}): Specimen {
	return {
		id: id('specimen'),
		at: 1000,
		shape: 'hook',
		orientation: 'upright',
		method: 'steps',
		nozzleC: null,
		made: null,
		status: 'counts',
		corrected: false,
		confirmed: false,
		...given
	};
}

/** A reading of a specimen, in newtons (or whatever the quantity's canonical unit is). */
export const load = (of: Specimen, quantity: string, value: number, more: Partial<Reading> = {}): Reading =>
	reading({ station: 'strength', quantity, value, specimenId: of.id, ...more });

/** Gross weighings a day apart, on a scale that shows 0.1 g. */
export function weighed(grams: [mass: number, before: Reading['before']][], stepMs = 86_400_000): Reading[] {
	return grams.map(([value, before], i) =>
		reading({ station: 'moisture', quantity: 'grossMass', value, before, resolution: 0.1, takenAt: 1000 + i * stepMs })
	);
}

export function quote(given: Partial<Quote> = {}): Quote {
	return {
		id: id('quote'),
		priceMinor: 2000,
		shippingMinor: 0,
		currency: 'EUR',
		quantity: 1,
		netMassG: 1000,
		seenAt: 500,
		kind: 'list',
		...given
	};
}

export function evidence(given: Partial<Omit<SpoolEvidence, 'spool'>> & { spool?: Partial<SpoolEvidence['spool']> } = {}): SpoolEvidence {
	const { spool, ...rest } = given;
	return {
		spool: {
			id: id('spool'),
			code: 'KA1',
			maker: null,
			filament: null,
			material: 'PETG',
			...factsAmong(SPOOL_FACTS, { obtained: 'bought' }),
			revision: 1,
			...spool
		},
		claims: [
			{ id: 'claim-1', quantity: 'diameter', source: 'label', value: 1.75 },
			{ id: 'claim-2', quantity: 'diameterTolerance', source: 'label', value: 0.02 }
		],
		quotes: [],
		pricesHidden: false,
		readings: [],
		attempts: [],
		logs: [],
		specimens: [],
		events: [],
		dryForH: null,
		damaged: [],
		instruments: [],
		pieces: [piece()],
		...rest
	};
}
