import { saying } from './field-error';
import {
	CLAIM_RULES,
	CONDITION_POLICIES,
	DIRECTIONS,
	FAMILIES,
	FAILURE_RULES,
	GATE_OPERATORS,
	SETTINGS_POLICIES,
	TRIAL_ROLES,
	USE_PRESETS,
	VALUE_RULES,
	VERDICT_KINDS
} from '$lib/core/record/lists/closed-lists';
import { TRIAL_FACTS } from '$lib/core/record/facts/trial-facts';
import { z } from 'zod';
import { factFields } from './fact-fields';
import { isKnownQuantity } from '$lib/core/answers/pick/known-quantities';
import { CURRENCIES } from '$lib/core/kernel/units/money';
import { id, instant, requiredWords, seen, unlessANumber, words, zone } from './common';

const preset = z.enum(USE_PRESETS);

export const trialBody = z.strictObject({
	id,
	name: requiredWords(),
	question: words(2000).optional(),
	preset: preset.default('own'),
	currency: z.enum(CURRENCIES).default('EUR'),
	blind: z.boolean().default(false),
	conditionPolicy: z.enum(CONDITION_POLICIES).optional().describe('the state in which prints count; as received if not said'),
	spoolIds: z.array(id).max(200).default([]),
	likeId: id.optional().describe('a trial whose pieces, rules, importance and measures are taken over')
});
export type TrialInput = z.input<typeof trialBody>;

const criterion = z.strictObject({
	quantity: z
		.string()
		.max(60)
		.refine(isKnownQuantity, { error: saying('unknownCriterion') }),
	weight: z
		.number()
		.min(0, { error: saying('atLeast', { least: 0, unit: '' }) })
		.max(10, { error: saying('atMost', { most: 10, unit: '' }) }),
	gate: z.strictObject({ op: z.enum(GATE_OPERATORS), limit: z.number().min(-1e9).max(1e9) }).nullable()
});

export const criteriaItems = z
	.array(criterion)
	.max(60)
	.refine((items) => new Set(items.map((i) => i.quantity)).size === items.length, { error: saying('criterionTwice') });

export const criteriaBody = z.strictObject({ id, trialId: id, items: criteriaItems, seen });

const rules = {
	settingsPolicy: z.enum(SETTINGS_POLICIES),
	conditionPolicy: z.enum(CONDITION_POLICIES),
	valueRule: z.enum(VALUE_RULES),
	printerId: id.nullable(),
	pieceIds: z
		.array(id)
		.min(1, { error: saying('noPieces') })
		.max(20, { error: saying('tooManyEntries', { most: 20 }) })
		.describe('the pieces that are printed, in order'),
	repeats: z.int().min(1).max(20),
	diameterPlaces: z.int().min(1).max(100),
	diameterDirections: z.int().min(1).max(2),
	strengthHighN: z
		.number({ error: unlessANumber })
		.min(1, { error: saying('atLeast', { least: 1, unit: 'N' }) })
		.max(100_000, { error: saying('atMost', { most: 100_000, unit: 'N' }) }),
	failureRule: z.enum(FAILURE_RULES).describe('which failures count against a filament'),
	takeOutPrinter: z.boolean().describe('whether shifts between printers are taken out of measured marks'),
	takeOutLeniency: z.boolean().describe('whether what one scorer gives more than another is taken out of marks'),
	ownMeasureIds: z.array(id).max(50).nullable().describe('measures of other trials that are asked for here too'),
	specimenKinds: z
		.partialRecord(z.enum(['load', 'blows', 'byHand']), words(200))
		.nullable()
		.describe('kinds of test part compared, chosen by hand; null for the most common'),
	claimRule: z
		.enum(CLAIM_RULES)
		.describe('by which rule a stated tolerance is judged: 95 % of the length inside, or no reading surely outside')
};

/** The rules of a trial, whole: what a file brings is held against the same figures as what a form sends. */
export const protocolRules = z.strictObject(rules);

/** A change of rules: what is left out stays as the newest version has it. */
export const protocolBody = z.strictObject({ id, trialId: id, ...protocolRules.partial().shape, seen });

/** A trial's name and question, said better later; what is left out stays. */
export const trialFactsBody = z.strictObject({
	id,
	trialId: id,
	...factFields(TRIAL_FACTS),
	reason: words(300).default('said later'),
	seen
});

/** Takes a spool out of a trial; what was measured of it stays with the spool. */
export const trialLeaveBody = z.strictObject({ id, trialId: id, spoolId: id });

export const blindBody = z.strictObject({ id, trialId: id, blind: z.boolean() });

export const trialSpoolBody = z.strictObject({ id, trialId: id, spoolId: id, role: z.enum(TRIAL_ROLES).default('candidate') });

export const houseSpoolBody = z.strictObject({ id, spoolId: id });

/** Words of a tester's own measure, from the worst to the best. */
export const ownWords = z
	.array(requiredWords(30))
	.min(2, { error: saying('tooFewWords', { least: 2 }) })
	.max(9, { error: saying('tooManyEntries', { most: 9 }) })
	.refine((list) => new Set(list.map((w) => w.toLowerCase())).size === list.length, { error: saying('wordTwice') });

const bound = z.number({ error: unlessANumber }).min(-1e9).max(1e9);

export const ownMeasureBody = z
	.strictObject({
		id,
		trialId: id,
		name: requiredWords(60),
		unit: words(16).default(''),
		direction: z.enum(DIRECTIONS).default('more'),
		low: bound.optional(),
		high: bound.optional(),
		words: ownWords.optional().describe('from the worst to the best, in place of unit, direction and scale'),
		family: z.enum(FAMILIES).exclude(['cost']).optional().describe('what it tells of')
	})
	// A number has a scale of its own; what is left out is asked for, not guessed.
	.refine((m) => m.words !== undefined || m.low !== undefined, { error: saying('missing'), path: ['low'] })
	.refine((m) => m.words !== undefined || m.high !== undefined, { error: saying('missing'), path: ['high'] })
	.refine((m) => m.words !== undefined || m.low === undefined || m.high === undefined || m.high > m.low, {
		error: saying('highNotAboveLow'),
		path: ['high']
	});

/** What an own measure is really called, and what it tells of; a number's scale too. */
export const ownMeasureFactsBody = z.strictObject({
	id,
	measureId: id,
	name: requiredWords(60).optional(),
	direction: z.enum(DIRECTIONS).optional(),
	low: bound.optional(),
	high: bound.optional(),
	family: z.enum(FAMILIES).exclude(['cost']).nullable().optional()
});

export const verdictBody = z
	.strictObject({
		id,
		trialId: id,
		spoolId: id,
		kind: z.enum(VERDICT_KINDS),
		buyFor: words().optional(),
		note: words(2000).optional(),
		at: instant,
		zone
	})
	.refine((v) => v.kind !== 'buyFor' || (v.buyFor ?? '') !== '', { error: saying('buyForMissing'), path: ['buyFor'] });

/** What was said of a trial after it was begun: only what was changed is there. */
export type SaidLater = {
	id: string;
	at: number;
	reason: string;
	undone: boolean;
	name?: string;
	/** Null takes it away. */
	question?: string | null;
	currency?: string;
};
