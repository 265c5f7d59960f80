import { saying } from './field-error';
import { z } from 'zod';
import { MARK_IDS } from '$lib/core/record/marks/piece-mark';
import { id, requiredWords, unlessANumber } from './common';

export const pieceMark = z.strictObject({
	mark: z.enum(MARK_IDS),
	steps: z
		.array(z.number().min(0).max(1000))
		.min(2, { error: saying('stepsTooFew') })
		.max(40, { error: saying('tooManyEntries', { most: 40 }) })
		.nullable()
});

/** A piece that is made from sizes, or a model of the tester's own with what can be looked at on it. */
export const pieceBody = z
	.strictObject({
		id,
		name: requiredWords(),
		kind: z.string().max(24).optional().describe('one of our own pieces; left out for a model of your own'),
		params: z
			.record(z.string(), z.number({ error: unlessANumber }))
			.optional()
			.describe('its sizes by their names, in mm, degrees or degrees Celsius'),
		marks: z.array(pieceMark).max(MARK_IDS.length).optional().describe('what can be looked at on a model of your own'),
		replaces: id.optional().describe('the piece of which this is a new version'),
		gramsG: z
			.number()
			.gt(0, { error: saying('notPositive') })
			.max(10_000, { error: saying('atMost', { most: 10_000, unit: 'g' }) })
			.optional(),
		fileHash: z
			.string()
			.regex(/^[0-9a-f]{64}$/, { error: saying('notASha256') })
			.optional()
	})
	.refine((p) => (p.kind === undefined) === (p.params === undefined), { error: saying('sizesMissing'), path: ['params'] })
	.refine((p) => p.kind !== undefined || (p.marks ?? []).length > 0, { error: saying('marksMissing'), path: ['marks'] });

/** Which file of a piece: with a bench code on it if wanted. */
export const pieceFileQuery = z.object({
	format: z.enum(['stl', '3mf']).default('3mf'),
	code: z
		.string()
		.regex(/^[A-Z]{2,3}[0-9]{1,3}$/, { error: saying('notABenchCode') })
		.or(z.literal(''))
		.default('')
});
