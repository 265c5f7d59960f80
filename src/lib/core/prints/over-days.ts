import { conditionOf } from '../conditions/condition-at';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import { say, type Message } from '../finding/message';
import { holm } from '../stats/holm';
import { spearman, spearmanP } from '../stats/spearman';
import type { Basis } from '../trial/basis';
import { JUDGED_MARKS } from './marks';
import { marksFinder } from './marks-on';
import { printValues } from './print-values';
import { settled } from './settled';

/** One mark of one piece over the days its spool lay open. */
export type OverDays = {
	quantity: string;
	pieceId: string;
	/** Days in the open and what was marked then, in the order of the days. */
	prints: { days: number; value: number }[];
	/** Whether it gets worse with the days: by the exact test, or as it looks while that can say nothing. */
	outcome: 'worse' | 'better' | 'looksWorse' | 'looksBetter' | 'noTrend';
	/** Test of the rank correlation, corrected for the marks that are tested with it. */
	p: number;
};

/** With two any order is a trend. */
const LEAST = 3;
/** Under five prints no order of them is rarer than one in twenty. */
const LEAST_TESTED = 5;
const DAY = 86_400_000;

/** What is tested of one mark, before all marks are corrected together. */
type Trend = Omit<OverDays, 'outcome'> & { r: number; worse: boolean };

/**
 * Whether marks get worse the longer a spool lies open: since it was dried, or since it was opened. Portions are left out, and what was soaked. Of many
 * marks one would show a trend by luck: all that are tested are corrected together.
 * Source: Spearman's rank correlation; Holm 1979; the clock is a house rule.
 * @example overDays(evidence, basis)[0]?.outcome // 'looksWorse'
 */
export function overDays(evidence: SpoolEvidence, basis: Pick<Basis, 'scorerEffects'>): OverDays[] {
	const trends = trendsOf(evidence, basis);
	const tested = trends.filter((t) => t.prints.length >= LEAST_TESTED);
	const corrected = holm(tested.map((t) => t.p));
	return trends.map((trend) => {
		const { r, worse, ...of } = trend;
		const at = tested.indexOf(trend);
		if (at < 0) return { ...of, outcome: looks(r, worse) };
		const p = corrected[at] as number;
		return { ...of, p, outcome: p >= 0.05 ? 'noTrend' : worse ? 'worse' : 'better' };
	});
}

function trendsOf(evidence: SpoolEvidence, basis: Pick<Basis, 'scorerEffects'>): Trend[] {
	const opened = evidence.events.find((e) => e.kind === 'opened' && e.status !== 'excluded')?.at;
	const open = evidence.attempts
		.filter((a) => settled(a) && a.portionId === null && conditionOf(evidence, a).kind !== 'soaked')
		.sort((a, b) => a.at - b.at);
	const start = opened ?? open[0]?.at ?? 0;
	const daysOf = new Map<string | null, number>(open.map((a) => [a.id, (a.at - (conditionOf(evidence, a).since ?? start)) / DAY]));
	const marksOn = marksFinder(evidence);
	return [...new Set(open.map((a) => a.pieceId))].flatMap((pieceId) => {
		const marks = marksOn(open.filter((a) => a.pieceId === pieceId));
		return JUDGED_MARKS.flatMap((mark) => {
			const prints = printValues({ marks, basis }, mark)
				.flatMap(({ attemptId, value }) => {
					const days = daysOf.get(attemptId);
					return days === undefined ? [] : [{ days, value }];
				})
				.sort((a, b) => a.days - b.days);
			const [days, values] = [prints.map((p) => p.days), prints.map((p) => p.value)];
			const r = prints.length < LEAST ? null : spearman(days, values);
			const p = r === null ? null : spearmanP(days, values);
			if (r === null || p === null) return [];
			return [{ quantity: mark.def.id, pieceId, prints, p, r, worse: mark.def.direction === 'less' ? r > 0 : r < 0 }];
		});
	});
}

/** A few prints show a trend only where hardly one of them is out of order (common practice, no source). */
const PLAIN = 0.8;
const looks = (r: number, worse: boolean): OverDays['outcome'] => (Math.abs(r) < PLAIN ? 'noTrend' : worse ? 'looksWorse' : 'looksBetter');

/**
 * The same as a message for the interface.
 * @example overDaysMessage(found).id // 'overDays.looksWorse'
 */
export function overDaysMessage({ quantity, prints, outcome, p }: OverDays): Message {
	const [first, last] = [prints[0], prints.at(-1)];
	return say(`overDays.${outcome}`, {
		quantity,
		prints: prints.length,
		from: first?.value ?? 0,
		fromDays: first?.days ?? 0,
		to: last?.value ?? 0,
		toDays: last?.days ?? 0,
		p
	});
}
