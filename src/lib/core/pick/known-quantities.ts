import type { Basis } from '../trial/basis';
import { STATIONS } from '../registry';

/** Enough of a trial's rules to name the quantities of every station; no figure depends on it. */
const NEUTRAL: Basis = {
	claimRule: 'share',
	settingsPolicy: 'label',
	conditionPolicy: 'asReceived',
	pieceIds: [],
	markPieces: {},
	failureRule: 'filament',
	printerEffects: [],
	scorerEffects: [],
	repeats: 1,
	diameterPlaces: 1,
	diameterDirections: 1,
	nominalMm: 1.75,
	currency: null,
	strengthHighN: 400,
	specimenKinds: { load: null, blows: null, byHand: null },
	ownMeasures: [],
	borrowed: [],
	handbook: [],
	printer: null
};

const IDS = new Set(STATIONS.flatMap((s) => s.quantities(NEUTRAL)).map((d) => d.id));

/**
 * Whether a criterion can be about a quantity: one of a station's, or a tester's own measure by its id.
 * @example isKnownQuantity('costPerGoodKg') // true
 */
export const isKnownQuantity = (id: string): boolean => IDS.has(id) || /^own\.[0-9a-f-]{36}$/.test(id);
