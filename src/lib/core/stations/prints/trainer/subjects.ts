import { SEVERITY_WORDS, STRING_WORDS } from '../../../record/marks/mark-words';

/** What the trainer draws: strings between spikes, dots on a wall, an overhang ladder from the side. */
export const TRAINER_SUBJECTS = ['strings', 'surface', 'overhang'] as const;
export type TrainerSubject = (typeof TRAINER_SUBJECTS)[number];

/** Steps of the drawn ladder, degrees from the vertical. */
export const DRAWN_STEPS = [30, 40, 50, 60, 70, 80] as const;

/** Answers of a subject, the first grade first; for the ladder its last clean step. */
export const TRAINER_ANSWERS: Record<TrainerSubject, readonly string[]> = {
	strings: STRING_WORDS,
	surface: SEVERITY_WORDS,
	overhang: DRAWN_STEPS.map(String)
};

/** How many strands or dots make a grade (house rule, so that four words mean the same to all): least and most. */
export const COUNTS: Record<Exclude<TrainerSubject, 'overhang'>, readonly (readonly [number, number])[]> = {
	strings: [
		[0, 0],
		[1, 2],
		[3, 7],
		[10, 16]
	],
	surface: [
		[0, 0],
		[2, 5],
		[9, 16],
		[28, 44]
	]
};
