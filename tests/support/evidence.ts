import type { Attempt, Protocol, Quote, Reading, SpoolEvidence } from '../../src/lib/core/evidence';

/** Small builders of evidence for the tests of core: everything has a plain default, a test names only what it is about. */

export const MAIN_PIECE = 'piece-1';

export const protocol: Protocol = {
	settingsPolicy: 'label',
	conditionPolicy: 'asReceived',
	mainPieceId: MAIN_PIECE,
	repeats: 1,
	diameterPlaces: 5,
	diameterDirections: 2,
	ownMeasures: []
};

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
		instrumentId: null,
		placeIndex: null,
		positionM: null,
		direction: null,
		attemptId: null,
		ownMeasureId: null,
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
		printer: 'North',
		nozzle: '0.4 brass',
		settings: { nozzleC: 215, bedC: 60, fanPct: null, speedPct: null, flowPct: null, retractionMm: null },
		status: 'counts',
		corrected: false,
		confirmed: false,
		...given
	};
}

export const mark = (on: Attempt, quantity: string, value: number, more: Partial<Reading> = {}): Reading =>
	reading({ station: 'prints', quantity, value, attemptId: on.id, ...more });

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
			colourName: null,
			colourHex: null,
			maker: null,
			filament: null,
			material: 'PETG',
			lot: null,
			obtained: 'bought',
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
		events: [],
		instruments: [],
		pieces: [{ id: MAIN_PIECE, name: 'ladder piece', version: 1, overhangStepDeg: 5, bridgeStepMm: 5, gramsG: 14 }],
		...rest
	};
}
