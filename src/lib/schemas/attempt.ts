import { saying } from './field-error';
import {
	CONDITIONS,
	FAILURE_CAUSES,
	FAILURE_KINDS,
	PRINT_OUTCOMES,
	SETTINGS_POLICIES,
	WATER_SIGNS
} from '$lib/core/record/lists/closed-lists';
import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import { z } from 'zod';
import { factFields } from './fact-fields';
import { SET_UP } from '$lib/core/record/evidence/attempt';
import { markEntries, readingsOfEntry, type MarkReading, type ReadingOf, type WordsOf } from '$lib/core/record/marks/mark-entries';
import { LOAD_WORDS } from '$lib/core/record/marks/mark-words';
import { id, instant, typed, unlessANumber, words, zone } from './common';

export const settings = z.strictObject({
	nozzleC: z.number().min(20).max(500).nullable().default(null),
	bedC: z.number().min(0).max(200).nullable().default(null),
	fanPct: z.number().min(0).max(100).nullable().default(null),
	speedPct: z.number().min(1).max(1000).nullable().default(null),
	flowPct: z.number().min(10).max(300).nullable().default(null),
	retractionMm: z.number().min(0).max(30).nullable().default(null),
	pressureAdvance: z.number().min(0).max(2).nullable().default(null)
});

export const sha256 = z.string().regex(/^[0-9a-f]{64}$/, { error: saying('notASha256') });

/** What stood around a print, in the tester's words. */
export const setUp = z.partialRecord(z.enum(SET_UP), words(60));

/** Readings that are typed with a print: those a photograph gives come with it. */
type Typed = Exclude<MarkReading, ReadingOf<'stringCoverage' | 'photoStrings'>> | 'loadEffort';
type Word<R> = R extends MarkReading ? WordsOf<R> : (typeof LOAD_WORDS)[number];
type MarkShape = {
	[R in Typed]: z.ZodOptional<[Word<R>] extends [never] ? typeof typed : z.ZodEnum<{ [W in Word<R>]: W }>>;
};

/** The marks taken with an attempt in one go; each becomes a reading of its own. */
const marks = z.strictObject({
	...Object.fromEntries(
		markEntries()
			.filter((entry) => entry.asked !== 'photo')
			.flatMap((entry) =>
				readingsOfEntry(entry).map((reading) => [reading, (entry.kind === 'words' ? z.enum([...entry.words]) : typed).optional()])
			)
	),
	loadEffort: z.enum(LOAD_WORDS).optional()
} as unknown as MarkShape);

const outcomeFields = {
	outcome: z.enum(PRINT_OUTCOMES),
	percentReached: z
		.number({ error: unlessANumber })
		.min(0, { error: saying('atLeast', { least: 0, unit: '%' }) })
		.max(100, { error: saying('atMost', { most: 100, unit: '%' }) })
		.optional(),
	cause: z.enum(FAILURE_CAUSES).optional(),
	failure: z.enum(FAILURE_KINDS).optional().describe('how it failed'),
	tuning: z.boolean().optional().describe('printed while the settings were still being found')
};

const grams = z.number({ error: unlessANumber }).positive().max(100_000);
const signs = z.array(z.enum(WATER_SIGNS)).max(WATER_SIGNS.length);

export const attemptBody = z
	.strictObject({
		id,
		spoolId: id,
		pieceId: id.optional().describe("the trial's piece if not given"),
		trialId: id.optional(),
		...outcomeFields,
		condition: z
			.enum(CONDITIONS)
			.optional()
			.describe('derived from the events of the spool; saying another records the drying or exposure'),
		printerId: id.optional(),
		settings: settings.prefault({}),
		setUp: setUp.prefault({}),
		roomTemperature: typed.optional().describe('such as 21 C'),
		roomHumidityPct: z.number({ error: unlessANumber }).min(0).max(100).optional(),
		settingsPolicy: z.enum(SETTINGS_POLICIES).optional(),
		gramsG: grams.optional(),
		minutes: z.number().positive().max(100_000).optional(),
		fileHash: sha256.optional().describe('SHA-256 of the sliced file'),
		midPrint: words(300).optional().describe('what was changed while it printed'),
		signs: signs.default([]).describe('signs of water while it printed'),
		portionId: id.optional().describe('the event that cut the portion off'),
		marks: marks.prefault({}),
		note: words(2000).optional(),
		at: instant,
		zone
	})
	.refine((a) => a.outcome !== 'failed' || a.percentReached !== undefined, {
		error: saying('percentMissing'),
		path: ['percentReached']
	})
	.refine((a) => a.outcome !== 'failed' || (a.percentReached ?? 0) < 100, {
		error: saying('percentWhole'),
		path: ['percentReached']
	})
	.refine((a) => a.outcome === 'finished' || a.cause !== undefined, {
		error: saying('causeMissing'),
		path: ['cause']
	});
export type AttemptBody = z.output<typeof attemptBody>;
export type AttemptInput = z.input<typeof attemptBody>;

/** What a correction of an attempt may supersede. */
export const attemptReplacement = z
	.strictObject({
		...outcomeFields,
		outcome: outcomeFields.outcome.optional(),
		pieceId: id,
		settings,
		at: instant,
		condition: z.enum(CONDITIONS).describe('the state of the spool for this print; its history stays as it is'),
		printerId: id.nullable(),
		gramsG: grams.nullable(),
		signs,
		portionId: id.nullable(),
		setUp,
		fileHash: sha256.nullable(),
		midPrint: words(300).nullable()
	})
	.partial()
	.refine((r) => Object.keys(r).length > 0, { error: saying('nothingCorrected') });

const { name, nozzle, ...abilities } = factFields(PRINTER_FACTS);

export const printerBody = z.strictObject({ id, name: name.unwrap(), nozzle: nozzle.unwrap(), ...abilities });

/** What a printer is really called, and what it can do; empty text is not known any more. */
export const printerFactsBody = z.strictObject({ id, printerId: id, name, nozzle, ...abilities });
