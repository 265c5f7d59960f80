import { CONDITIONS } from '$lib/core/record/lists/closed-lists';
import { z } from 'zod';
import type { Message } from '$lib/core/judging/finding/message';
import type { Finding, Missing } from '$lib/core/judging/finding/types';

/** What goes out: one finding as every station gives it. Written beside core's type and held to it by the compiler. */

const params = z.record(z.string(), z.union([z.string(), z.number(), z.boolean(), z.null()]));
// Which id goes with which parameters is held by core's types; outside, an id is any word.
const message = z.object({ id: z.string(), params }) as unknown as z.ZodType<Message>;
const missing = z.object({
	action: z.string(),
	station: z.string(),
	count: z.number(),
	minutes: z.number(),
	params
}) as unknown as z.ZodType<Missing>;
const grade = z.enum(['none', 'thin', 'fair', 'firm']);
const condition = z.enum(CONDITIONS);

const interval = z.object({
	low: z.number(),
	high: z.number(),
	level: z.number().nullable(),
	kind: z.enum(['confidence', 'tolerance', 'credible', 'bounds'])
});

const sampling = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('t'), mean: z.number(), standardError: z.number(), df: z.number().nullable() }),
	z.object({ kind: z.literal('beta'), a: z.number(), b: z.number() }),
	z.object({ kind: z.literal('bounds'), low: z.number(), high: z.number() }),
	z.object({ kind: z.literal('quantiles'), probabilities: z.array(z.number()), values: z.array(z.number()) }),
	z.object({ kind: z.literal('exact'), value: z.number() }),
	z.object({ kind: z.literal('never'), reason: message }),
	z.object({
		kind: z.literal('unknown'),
		reason: message,
		expected: z.object({ probabilities: z.array(z.number()), values: z.array(z.number()) }).optional()
	})
]);

const figure = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('none') }),
	z.object({
		kind: z.literal('strand'),
		nominalMm: z.number(),
		toleranceMm: z.number().nullable(),
		places: z.array(z.object({ index: z.number(), positionM: z.number().nullable(), lowMm: z.number(), highMm: z.number() }))
	}),
	z.object({ kind: z.literal('dot'), points: z.array(z.number()) }),
	z.object({ kind: z.literal('steps'), lastClean: z.array(z.number()), firstFaulty: z.array(z.number().nullable()) }),
	z.object({ kind: z.literal('loads'), loads: z.array(z.object({ low: z.number(), high: z.number().nullable() })) }),
	z.object({
		kind: z.literal('account'),
		points: z.array(
			z.object({ at: z.number(), grossG: z.number(), before: z.string(), pct: z.number(), lowPct: z.number(), highPct: z.number() })
		)
	}),
	z.object({ kind: z.literal('words'), counts: z.array(z.number()) }),
	z.object({ kind: z.literal('share'), successes: z.number(), n: z.number() }),
	z.object({ kind: z.literal('bar'), base: z.number().nullable() })
]);

export const finding: z.ZodType<Finding> = z.strictObject({
	station: z.string(),
	quantity: z.string(),
	unit: z.string(),
	subject: z.object({
		spoolId: z.string(),
		condition: condition.nullable(),
		pieceId: z.string().nullable(),
		variant: z.string().nullable().describe('the kind of specimen')
	}),
	estimate: z.number().nullable(),
	n: z.number(),
	nEffective: z.number().nullable(),
	interval: interval.nullable(),
	sampling: sampling.describe('how the pick may draw the true value, errors shared with other spools apart'),
	shared: z.array(z.object({ source: z.string(), sd: z.number() })).describe('errors that spools share, drawn once for all of them'),
	priorSet: z.number().nullable().describe('the set of priors it rests on; 0 for the assumptions of the house'),
	grade,
	missing: z.array(missing),
	context: z.object({
		printers: z.array(z.string()),
		nozzles: z.array(z.string()),
		settings: z.array(z.object({ name: z.string(), value: z.union([z.number(), z.string()]) })),
		conditions: z.array(condition),
		variants: z.array(z.string()),
		exposures: z.array(z.string()),
		pieces: z.array(z.string()),
		lots: z.array(z.string()),
		instruments: z.array(z.string()),
		currencies: z.array(z.string()),
		priceKinds: z.array(z.string()),
		from: z.number().nullable(),
		to: z.number().nullable()
	}),
	method: z.string(),
	source: z.string(),
	inputs: z.object({ used: z.array(z.string()), excluded: z.array(z.string()), revision: z.number() }),
	messages: z.array(message),
	word: message.nullable().describe('what it comes to in a word or two'),
	figure
});

/** Every finding of one spool. */
export const spoolFindings = z.object({
	coreVersion: z.string(),
	spool: z.looseObject({ id: z.string(), code: z.string(), material: z.string() }),
	findings: z.array(finding)
});

/** The trial sheet: spools down, quantities across. */
export const trialFindings = z.object({
	coreVersion: z.string(),
	trial: z.looseObject({ id: z.string(), name: z.string() }),
	spools: z.array(z.looseObject({ id: z.string(), code: z.string() })),
	columns: z.array(z.looseObject({ id: z.string(), station: z.string(), unit: z.string() })),
	rows: z.array(
		z.looseObject({
			spoolId: z.string(),
			cells: z.array(z.object({ quantity: z.string(), findings: z.array(finding), letters: z.string() }))
		})
	),
	flags: z.array(
		z.looseObject({
			quantity: z.string(),
			kind: z.string(),
			is: z.array(z.string()),
			rest: z.array(z.string()),
			spoolIds: z.array(z.string())
		})
	)
});
