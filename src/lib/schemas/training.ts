import { saying } from './field-error';
import { z } from 'zod';
import { TRAINER_SUBJECTS } from '$lib/core/stations/prints/trainer/subjects';
import { TRAINING_LENGTH } from '$lib/core/stations/prints/trainer/training';
import { id, instant, requiredWords, zone } from './common';

/** One run of the trainer; what was shown follows from the seed. */
export const trainingBody = z.strictObject({
	id,
	scorer: requiredWords(60),
	subject: z.enum(TRAINER_SUBJECTS),
	seed: z.int().min(0).max(0x7fffffff),
	answers: z.array(z.int().min(0).max(9)).length(TRAINING_LENGTH, { error: saying('tooFewEntries', { least: TRAINING_LENGTH }) }),
	at: instant,
	zone
});
