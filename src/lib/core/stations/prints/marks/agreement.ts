import { group } from 'd3-array';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { QuantityDef } from '../../../judging/finding/types';
import { weightedKappa, type Kappa } from '../../../kernel/stats/kappa';
import { krippendorffAlpha, type Alpha } from '../../../kernel/stats/krippendorff';
import { meanInterval } from '../../../kernel/stats/mean-interval';
import { MARKS, type MarkDef } from './marks';
import { scoringsOf, type Scoring } from './scorings';

/** Who scored, and in which round over the same prints, from 0: the same scorer again is told apart from himself. */
export type Rater = { scorer: string; round: number };

/** How two raters of the same prints agree on one mark. */
export type Agreement = {
	def: QuantityDef;
	raters: [Rater, Rater];
	/** Prints both have scored. */
	n: number;
	/** For marks in words; null for measured ones, or where there is nothing to agree on. */
	kappa: Kappa | null;
	/** The second rater's mark less the first's, on average: who is the milder. Its interval is null for one print. */
	difference: { mean: number; low: number | null; high: number | null };
};

/** How three raters or more agree on one mark, all together. */
export type AgreementOfAll = { def: QuantityDef; raters: Rater[]; alpha: Alpha };

/** Marks that people give: what is measured off a photograph agrees with itself. */
const ASKED = MARKS.filter((m) => m.asked !== 'photo');

type Rated = Scoring & { scorer: string };

/** Named scorings of a mark by print, and their raters in order. */
function ratedOf(spools: readonly SpoolEvidence[], mark: MarkDef): { byPrint: Rated[][]; raters: Rater[] } {
	const named = scoringsOf(spools, mark).filter((s): s is Rated => s.scorer !== null);
	const raters = [...new Map(named.map(({ scorer, round }) => [`${scorer} ${round}`, { scorer, round }])).values()];
	raters.sort((a, b) => (a.scorer === b.scorer ? a.round - b.round : a.scorer < b.scorer ? -1 : 1));
	return { byPrint: [...group(named, (s) => s.attemptId).values()], raters };
}

/**
 * How the scorers of some spools agree, mark by mark and two by two: kappa with quadratic weights for words, the mean difference for all.
 * Marks of nobody in particular are left aside; a second look of one scorer is held against his first.
 * Source: Cohen 1968 for kappa; ISO 2602 for the difference.
 * @example agreements(spools)[0].kappa?.kappa // 0.77
 */
export function agreements(spools: readonly SpoolEvidence[]): Agreement[] {
	return ASKED.flatMap((mark) => {
		const { byPrint, raters } = ratedOf(spools, mark);
		const of = (print: readonly Rated[], { scorer, round }: Rater) => print.find((s) => s.scorer === scorer && s.round === round)?.value;
		return raters.flatMap((first, i) =>
			raters.slice(i + 1).flatMap((second): Agreement[] => {
				const pairs = byPrint.flatMap((print): [number, number][] => {
					const [a, b] = [of(print, first), of(print, second)];
					return a === undefined || b === undefined ? [] : [[a, b]];
				});
				if (pairs.length === 0) return [];
				const over = meanInterval(pairs.map(([a, b]) => b - a));
				const kappa = mark.kind === 'words' ? weightedKappa(pairs, mark.def.words?.length ?? 0) : null;
				const difference = { mean: over.mean ?? 0, low: over.low, high: over.high };
				return [{ def: mark.def, raters: [first, second], n: pairs.length, kappa, difference }];
			})
		);
	});
}

/**
 * How three raters or more agree, all together: Krippendorff's alpha, ordinal for words and steps, by size for what is measured. Of two,
 * agreements says more.
 * Source: Krippendorff 2011.
 * @example agreementsOfAll(spools)[0].alpha.alpha // 0.82
 */
export function agreementsOfAll(spools: readonly SpoolEvidence[]): AgreementOfAll[] {
	return ASKED.flatMap((mark): AgreementOfAll[] => {
		const { byPrint, raters } = ratedOf(spools, mark);
		if (raters.length < 3) return [];
		const units = byPrint.map((print) => print.map((s) => s.value));
		const alpha = krippendorffAlpha(units, mark.kind === 'measure' ? 'interval' : 'ordinal');
		return alpha === null ? [] : [{ def: mark.def, raters, alpha }];
	});
}
