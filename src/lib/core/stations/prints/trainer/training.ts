import { shuffler } from 'd3-array';
import { randomSource } from '../../../kernel/random/source';
import { weightedKappa, type Kappa } from '../../../kernel/stats/kappa';
import { meanInterval } from '../../../kernel/stats/mean-interval';
import { TRAINER_ANSWERS, type TrainerSubject } from './subjects';

/** One drawing to be scored: its known grade, and the seed it is drawn from. */
export type TrainingSample = { grade: number; seed: number };

/** Drawings a run has: enough for kappa to tell well from fairly, few enough for two minutes. */
export const TRAINING_LENGTH = 12;

/**
 * The drawings of one run: every grade as often as the others, in a chance order that the seed gives.
 * @example trainingPlan('strings', 7).length // 12
 */
export function trainingPlan(subject: TrainerSubject, seed: number): TrainingSample[] {
	const uniform = randomSource(seed);
	const grades = TRAINER_ANSWERS[subject].length;
	const even = Array.from({ length: TRAINING_LENGTH }, (_, i) => i % grades);
	return shuffler(uniform)(even).map((grade) => ({ grade, seed: Math.floor(uniform() * 0x7fffffff) }));
}

export type TrainingResult = {
	n: number;
	right: number;
	/** Agreement with the known grades; null where it is not defined (one and the same answer throughout). */
	kappa: Kappa | null;
	/** Mean of answer less known grade, in grades: above nothing is stricter for faults. */
	shift: { mean: number; low: number | null; high: number | null };
	/** What was taken for what most often; null when all was right or no pair came twice. */
	confused: { grade: number; answer: number; times: number } | null;
};

/**
 * How a run went: agreement with the known grades, whether the scorer leans to one side, and what he takes for what.
 * Source: Cohen 1968 (quadratic weights); ISO 2602.
 * @param pairs known grade and answer of each drawing
 * @param grades how many there are
 * @example trainingResult([[0, 0], [1, 2], [3, 3]], 4).right // 2
 */
export function trainingResult(pairs: readonly (readonly [grade: number, answer: number])[], grades: number): TrainingResult {
	const over = meanInterval(pairs.map(([grade, answer]) => answer - grade));
	const wrong = pairs.filter(([grade, answer]) => grade !== answer);
	const times = ([g, a]: readonly [number, number]) => wrong.filter(([grade, answer]) => grade === g && answer === a).length;
	const worst = [...wrong].sort((a, b) => times(b) - times(a))[0];
	return {
		n: pairs.length,
		right: pairs.length - wrong.length,
		kappa: weightedKappa(pairs, grades),
		shift: { mean: over.mean ?? 0, low: over.low, high: over.high },
		confused: worst && times(worst) > 1 ? { grade: worst[0], answer: worst[1], times: times(worst) } : null
	};
}
