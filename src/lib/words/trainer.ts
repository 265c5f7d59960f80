import { type TrainerSubject, TRAINER_ANSWERS } from '$lib/core/stations/prints/trainer/subjects';
import type { TrainingResult } from '$lib/core/stations/prints/trainer/training';
import { agreementBand } from './agreement';
import { fixed, plural } from './numbers';

export const SUBJECT_WORDS: Record<TrainerSubject, { title: string; asks: string }> = {
	strings: { title: 'Strings', asks: 'Which of the four words?' },
	surface: { title: 'Dots on a wall', asks: 'How strong are they?' },
	overhang: {
		title: 'Overhang ladder',
		asks: 'Which is the last clean step?'
	}
};

/** What makes a grade, said when it was missed. */
const MAKES: Record<Exclude<TrainerSubject, 'overhang'>, readonly string[]> = {
	strings: ['nothing between the spikes', 'one hair or two', 'three to seven thin strands', 'ten and more, thick ones among them'],
	surface: ['no dot', 'a handful of small dots', 'a dozen dots or so', 'dots all over']
};

/** An answer as it is shown. */
export const answerWord = (subject: TrainerSubject, grade: number): string =>
	`${TRAINER_ANSWERS[subject][grade] ?? ''}${subject === 'overhang' ? '°' : ''}`;

/** What a drawing was, with what makes it so. */
export function gradeWords(subject: TrainerSubject, grade: number): string {
	const makes = subject === 'overhang' ? 'the next one hangs' : MAKES[subject][grade];
	return `${answerWord(subject, grade)}: ${subject === 'overhang' && grade === TRAINER_ANSWERS.overhang.length - 1 ? 'none hangs' : makes}`;
}

/**
 * How a run went, in a sentence.
 * @example resultWords('strings', result) // '10 of 12 right, slightly lenient (0.3 of a grade).'
 */
export function resultWords(subject: TrainerSubject, { n, right, shift, confused }: Omit<TrainingResult, 'kappa'>): string {
	const leans = shift.low !== null && shift.high !== null && (shift.low > 0 || shift.high < 0);
	// More strings and dots are worse, more degrees are better.
	const milder = subject === 'overhang' ? shift.mean > 0 : shift.mean < 0;
	const lean = leans ? `, slightly ${milder ? 'lenient' : 'strict'} (${fixed(Math.abs(shift.mean), 1)} of a grade)` : '';
	const mixed = confused
		? ` ${answerWord(subject, confused.grade)} was taken for ${answerWord(subject, confused.answer)} ${plural(confused.times, 'time')}.`
		: '';
	return `${right} of ${n} right${lean}.${mixed}`;
}

/** The same as statistics tell it, for the fold behind it. */
export const agreesWords = ({ kappa }: Pick<TrainingResult, 'kappa'>): string =>
	kappa
		? `Agrees ${agreementBand(kappa.kappa)} with the known grades (kappa ${fixed(kappa.kappa, 2)}, 95 % ${fixed(kappa.low, 2)} to ${fixed(kappa.high, 2)}).`
		: 'Too much alike for an agreement to be told.';
