import { NO_RECORD } from '../posterior/prior-set';
import type { Basis } from './basis';

/** A basis of no trial: enough to name every quantity, and to read what the whole record teaches. */
export const NEUTRAL_BASIS: Basis = {
	claimRule: 'share',
	settingsPolicy: 'label',
	conditionPolicy: 'asReceived',
	pieceIds: [],
	markPieces: {},
	pieceEffects: [],
	loadUnit: 'N',
	failureRule: 'filament',
	printerEffects: [],
	scorerEffects: [],
	unbridged: [],
	repeats: 1,
	diameterPlaces: 1,
	diameterDirections: 1,
	nominalMm: 1.75,
	currency: null,
	costReference: null,
	strengthHighN: 400,
	specimenKinds: { load: null, blows: null, byHand: null },
	chosenKinds: {},
	ownMeasures: [],
	handbook: [],
	printer: null,
	priors: NO_RECORD
};
