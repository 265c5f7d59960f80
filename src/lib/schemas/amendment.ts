import { saying } from './field-error';
import {
	AMENDED_FACTS,
	AMENDED_KINDS,
	AMENDMENT_ACTIONS,
	BEFORE,
	INSTRUMENT_QUANTITIES,
	NOTE_TARGETS
} from '$lib/core/record/lists/closed-lists';
import { INSTRUMENT_FACTS } from '$lib/core/record/facts/instrument-facts';
import { z } from 'zod';
import { factFields } from './fact-fields';
import { attemptReplacement } from './attempt';
import { id, instant, requiredWords, typed, unlessANumber, words, zone } from './common';
import { specimenReplacement } from './strength';

const metre = z.number({ error: unlessANumber }).min(0).max(100_000);

export const amendmentBody = z
	.strictObject({
		id,
		targetKind: z.enum([...AMENDED_KINDS, ...AMENDED_FACTS]).describe('facts of a spool, product, trial or printer are only undone here'),
		targetId: id,
		action: z.enum(AMENDMENT_ACTIONS),
		undoesId: id.optional(),
		typed: typed.optional().describe('the corrected value of a reading, as typed'),
		before: z.enum(BEFORE).optional().describe('what lay before a weighing, if the inference was wrong'),
		instrumentId: id.optional().describe('the instrument a reading was really taken with'),
		takenAt: instant.optional().describe('when a reading was really taken'),
		scorer: words(60).optional().describe('who really gave a mark'),
		accepted: z.boolean().default(false),
		range: z
			.strictObject({ fromM: metre, toM: metre })
			.refine((r) => r.toM > r.fromM, { error: saying('endBeforeStart'), path: ['toM'] })
			.optional()
			.describe('part of a log to leave out; all of it without one'),
		replacement: attemptReplacement.optional().describe('the corrected fields of an attempt'),
		specimen: specimenReplacement.optional().describe('the corrected fields of a specimen'),
		reason: words(500).default(''),
		at: instant,
		zone
	})
	.refine((a) => a.action === 'confirm' || a.action === 'undo' || a.reason !== '', { error: saying('reasonMissing'), path: ['reason'] })
	.refine((a) => !a.range || (a.targetKind === 'log' && a.action === 'exclude'), {
		error: saying('onlyLogsInPart'),
		path: ['range']
	})
	.refine((a) => a.action !== 'undo' || a.undoesId !== undefined, { error: saying('undoneMissing'), path: ['undoesId'] });
export type AmendmentBody = z.output<typeof amendmentBody>;

export const noteBody = z.strictObject({
	id,
	targetKind: z.enum(NOTE_TARGETS),
	targetId: id,
	text: requiredWords(2000),
	at: instant,
	zone
});

export const instrumentBody = z.strictObject({
	id,
	name: requiredWords(),
	measures: z.enum(INSTRUMENT_QUANTITIES).default('length'),
	errorLimit: words(40)
		.optional()
		.describe('as its leaflet states it, such as 0.02 mm or 0.3 g; without one a step of the display is assumed'),
	resolution: requiredWords(40)
});

/** What an instrument is really called, and how good it is. */
export const instrumentFactsBody = z.strictObject({
	id,
	instrumentId: id,
	...factFields(INSTRUMENT_FACTS)
});

/** Readings of something of known size: what the instrument shows too much, and how far it scatters. */
export const instrumentCheckBody = z.strictObject({
	id,
	instrumentId: id,
	reference: requiredWords(40).describe('size or mass of the pin, block or weight, as typed'),
	referenceLimit: typed.default('').describe('its own error limit; empty for one that is taken as true'),
	readings: z
		.array(typed.refine((text) => text !== '', { error: saying('valueMissing') }))
		.min(1, { error: saying('tooFewEntries', { least: 1 }) })
		.max(100, { error: saying('tooManyEntries', { most: 100 }) }),
	at: instant,
	zone
});

/** A gauge study: every rater reads every place equally often. */
export const gaugeStudyBody = z.strictObject({
	id,
	instrumentId: id,
	raters: z
		.array(requiredWords(60))
		.min(1, { error: saying('tooFewEntries', { least: 1 }) })
		.max(6, { error: saying('tooManyEntries', { most: 6 }) }),
	readings: z
		.array(
			z.strictObject({
				place: z.int().min(0).max(19),
				rater: z.int().min(0).max(5),
				typed: typed.refine((text) => text !== '', { error: saying('valueMissing') })
			})
		)
		.min(4, { error: saying('studyTooSmall') })
		.max(600, { error: saying('tooManyEntries', { most: 600 }) }),
	at: instant,
	zone
});
