import { nth } from '$lib/core/kernel/lists/nth';
import { desc } from 'drizzle-orm';
import type { z } from 'zod';
import { TRAINER_ANSWERS, type TrainerSubject } from '$lib/core/stations/prints/trainer/subjects';
import { trainingPlan, trainingResult, type TrainingResult } from '$lib/core/stations/prints/trainer/training';
import type { trainingBody } from '$lib/schemas/training';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../../base/db/client';
import { trainingRun } from '../../base/db/schema';
import { isValidRow } from '../../record/rows/row-schema';
import { refuse } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';

export type TrainingListed = { id: string; scorer: string; subject: TrainerSubject; at: number; result: TrainingResult };

/** Keeps a run with the known grade of each drawing beside its answer, so that it can be judged again by any later version. */
export async function postTraining(
	db: Database,
	body: z.output<typeof trainingBody>,
	now: number
): Promise<{ answer: { id: string; result: TrainingResult }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'training', body, now }, async (tx) => {
		const { id, scorer, subject, seed, answers, zone } = body;
		const known = TRAINER_ANSWERS[subject].length;
		const errors = answers.flatMap((answer, i): FieldError[] =>
			answer < known ? [] : [fieldError(`answers.${i}`, 'sizeOutOfRange', { low: 0, high: known - 1 })]
		);
		if (errors.length > 0) throw refuse(errors);
		const pairs = trainingPlan(subject, seed).map(({ grade }, i): [number, number] => [grade, nth(answers, i)]);
		await tx.insert(trainingRun).values({ id, scorer, subject, seed, pairs, at: pastInstant(body.at, now, 'at'), zone, createdAt: now });
		return { id, result: trainingResult(pairs, known) };
	});
}

/** Runs of the trainer, newest first, each judged from its raw answers. */
export async function listTrainings(db: Reader): Promise<TrainingListed[]> {
	const rows = await db.select().from(trainingRun).orderBy(desc(trainingRun.at), desc(trainingRun.id)).limit(200);
	return rows
		.filter((row) => isValidRow('trainings', row))
		.map(({ id, scorer, subject, at, pairs }) => {
			const of = subject as TrainerSubject;
			return { id, scorer, subject: of, at, result: trainingResult(pairs, TRAINER_ANSWERS[of].length) };
		});
}
