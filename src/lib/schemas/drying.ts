import { saying } from './field-error';
import { DRYING_OUTCOMES } from '$lib/core/record/lists/closed-lists';
import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
import { z } from 'zod';
import { factFields } from './fact-fields';
import { id, instant, requiredWords, zone } from './common';

const { name, ...range } = factFields(DRYER_FACTS);

export const dryerBody = z.strictObject({ id, name: name.unwrap(), ...range });

/** What a dryer is really called, and how low and high it goes; empty text is not known any more. */
export const dryerFactsBody = z.strictObject({ id, dryerId: id, name, ...range });

/** What an own probe in the dryer shows beside what is set: displays tell what they like. */
export const dryerCheckBody = z.strictObject({
	id,
	dryerId: id,
	setPoint: requiredWords(40).describe('what the dryer was set to, such as 60 C'),
	probe: requiredWords(40).describe('what the own probe showed, such as 54 C'),
	at: instant,
	zone
});

export const dryingRunBody = z.strictObject({
	id,
	dryerId: id,
	spoolIds: z
		.array(id)
		.min(1, { error: saying('noSpoolsInRun') })
		.max(20, { error: saying('tooManyEntries', { most: 20 }) }),
	setPoint: requiredWords(40).describe('such as 50 C'),
	duration: requiredWords(40).describe('such as 4 h or 240 min; hours if no unit is typed'),
	accepted: z.boolean().default(false).describe('the sender was asked about an unusual set-point and means it'),
	at: instant.describe('when it started'),
	endedAt: instant.optional().describe('when it ended, for a run that is over: it is recorded as it was, whatever the handbook says'),
	zone
});
export type DryingRunBody = z.output<typeof dryingRunBody>;

/** When a run really was, or how hot; what is left out stays. */
export const dryingFactsBody = z.strictObject({
	id,
	runId: id,
	setPoint: requiredWords(40).optional().describe('such as 50 C'),
	startedAt: instant.optional(),
	endedAt: instant.optional().describe('of a run that has ended'),
	reason: requiredWords(500)
});

/** `void`: the run did not dry anything (it never got warm, the wrong spools were in it). */
export const dryingEndBody = z.strictObject({ id, runId: id, outcome: z.enum(DRYING_OUTCOMES), at: instant, zone });

/** A run as pages are told of it. */
export type DryingRun = {
	id: string;
	dryer: string;
	setPointC: number;
	startedAt: number;
	plannedEndAt: number;
	spools: { id: string; code: string; material: string }[];
	end: { at: number; outcome: 'done' | 'void' } | null;
	/** The correction made last, which can be undone. */
	corrected: { id: string; reason: string } | null;
};
