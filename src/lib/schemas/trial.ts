import { z } from 'zod';
import { CURRENCIES } from '$lib/core/units/money';
import { id, instant, requiredWords, words, zone } from './common';

const preset = z.enum(['fineLooks', 'benchJigs', 'outdoorBrackets', 'flexibleParts', 'own']);

export const trialBody = z.object({
	id,
	name: requiredWords('name'),
	question: words(2000).optional(),
	preset: preset.default('own'),
	currency: z.enum(CURRENCIES).default('EUR'),
	blind: z.boolean().default(false),
	spoolIds: z.array(id).max(200).default([])
});
export type TrialInput = z.input<typeof trialBody>;

export const criterion = z.object({
	quantity: z.string().min(1).max(60),
	weight: z.number().min(0, { error: 'cannot be below 0' }).max(10, { error: 'cannot be above 10' }),
	gate: z.object({ op: z.enum(['atLeast', 'atMost']), limit: z.number() }).nullable()
});

export const criteriaBody = z
	.object({ id, trialId: id, items: z.array(criterion).max(60) })
	.refine((b) => new Set(b.items.map((i) => i.quantity)).size === b.items.length, {
		error: 'each criterion may stand once',
		path: ['items']
	});

export const protocolBody = z.object({
	id,
	trialId: id,
	settingsPolicy: z.enum(['fixed', 'label', 'preset', 'calibrated']),
	conditionPolicy: z.enum(['asReceived', 'driedFirst', 'both']),
	valueRule: z.enum(['weighted', 'perMoney', 'cheapest']),
	printerId: id.nullable().default(null),
	pieceIds: z
		.array(id)
		.min(1, { error: 'choose at least one piece' })
		.max(20, { error: 'at most 20 pieces' })
		.optional()
		.describe('the pieces that are printed, in order; as they were if left out'),
	repeats: z.int().min(1).max(20),
	diameterPlaces: z.int().min(1).max(100),
	diameterDirections: z.int().min(1).max(2),
	strengthHighN: z
		.number({ error: 'must be a number of newtons' })
		.min(1, { error: 'must be at least 1 N' })
		.max(100_000, { error: 'must be at most 100,000 N' })
		.default(400),
	failureRule: z.enum(['filament', 'unknown']).default('filament').describe('which failures count against a filament'),
	takeOutPrinter: z.boolean().default(false).describe('whether shifts between printers are taken out of measured marks'),
	takeOutLeniency: z.boolean().default(false).describe('whether what one scorer gives more than another is taken out of marks'),
	claimRule: z
		.enum(['share', 'anyReading'])
		.default('share')
		.describe('by which rule a stated tolerance is judged: 95 % of the length inside, or no reading surely outside')
});

/** A trial's name and question, said better later. */
export const trialFactsBody = z.object({ id, trialId: id, name: requiredWords('name'), question: words(2000).default('') });

/** Takes a spool out of a trial; what was measured of it stays with the spool. */
export const trialLeaveBody = z.object({ id, trialId: id, spoolId: id });

export const blindBody = z.object({ id, trialId: id, blind: z.boolean() });

export const trialSpoolBody = z.object({ id, trialId: id, spoolId: id, role: z.enum(['candidate', 'house']).default('candidate') });

export const houseSpoolBody = z.object({ id, spoolId: id });

export const ownMeasureBody = z
	.object({
		id,
		trialId: id,
		name: requiredWords('name', 60),
		unit: words(16),
		direction: z.enum(['more', 'less', 'nearest']),
		low: z.number({ error: 'must be a number' }),
		high: z.number({ error: 'must be a number' })
	})
	.refine((m) => m.high > m.low, { error: 'the high end must be above the low end', path: ['high'] });

export const verdictBody = z
	.object({
		id,
		trialId: id,
		spoolId: id,
		kind: z.enum(['buy', 'leave', 'buyFor', 'dryFirst']),
		buyFor: words().optional(),
		note: words(2000).optional(),
		at: instant,
		zone
	})
	.refine((v) => v.kind !== 'buyFor' || (v.buyFor ?? '') !== '', { error: 'say what it is to be bought for', path: ['buyFor'] });
