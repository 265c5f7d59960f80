import type { CLAIM_RULES, CONDITION_POLICIES, FAILURE_RULES, SETTINGS_POLICIES, VALUE_RULES } from '../../record/lists/closed-lists';
import type { OwnMeasure } from '../../record/evidence/own-measure';

export type FailureRule = (typeof FAILURE_RULES)[number];
export type ValueRule = (typeof VALUE_RULES)[number];

/** What a trial holds equal and what may vary: all of it was set by the tester. */
export type Protocol = {
	settingsPolicy: (typeof SETTINGS_POLICIES)[number];
	conditionPolicy: (typeof CONDITION_POLICIES)[number];
	/** The pieces a trial prints, in order. */
	pieceIds: string[];
	/** Which failures count against a filament. */
	failureRule: FailureRule;
	repeats: number;
	diameterPlaces: number;
	diameterDirections: number;
	/** By which rule a maker's tolerance is judged. */
	claimRule: (typeof CLAIM_RULES)[number];
	/** What the trial counts in; prices in another currency are no prices here. Null outside a trial. */
	currency: string | null;
	/** Top of the strength scale: a hook and a tensile bar break at very different loads. */
	strengthHighN: number;
	ownMeasures: OwnMeasure[];
};
