import { presetCriteria, type UsePreset } from '$lib/core/answers/pick/presets';
import { STEP_PIECE } from '../../base/db/defaults';
import type { criteria, protocol } from '../../base/db/schema';

/** What a trial holds equal before anything else was said. */
export const PLAIN_RULES = {
	settingsPolicy: 'label',
	conditionPolicy: 'asReceived',
	valueRule: 'cheapestOfBest',
	mainPieceId: STEP_PIECE.id,
	pieceIds: [STEP_PIECE.id],
	repeats: 1,
	diameterPlaces: 5,
	diameterDirections: 2
} as const satisfies Partial<typeof protocol.$inferInsert>;

type Of = { id: string; preset: UsePreset; createdAt: number };

/** The rules of a trial that came in by file without any: those a new one begins with, before their first version. */
export const rulesOfNone = ({ id, createdAt }: Of): typeof protocol.$inferSelect => ({
	...PLAIN_RULES,
	pieceIds: [...PLAIN_RULES.pieceIds],
	id,
	trialId: id,
	version: 0,
	printerId: null,
	strengthHighN: 400,
	claimRule: 'share',
	failureRule: 'filament',
	takeOutPrinter: false,
	takeOutLeniency: false,
	specimenKinds: null,
	ownMeasureIds: null,
	createdAt
});

/** Its importance and limits: those of its use. */
export const weightsOfNone = ({ id, preset, createdAt }: Of): typeof criteria.$inferSelect => ({
	id,
	trialId: id,
	version: 0,
	items: presetCriteria(preset),
	costReference: null,
	createdAt
});
