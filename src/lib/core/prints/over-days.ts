import { conditionOf } from '../conditions/condition-at';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import { say, type Message } from '../finding/message';
import { spearman, spearmanP } from '../stats/spearman';
import type { Basis } from '../trial/basis';
import { MARKS } from './marks';
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
	/** Exact permutation test of the rank correlation; null where there are more than it goes through. */
	p: number | null;
};

/** With two any order is a trend. */
const LEAST = 3;
/** Under five prints no order of them is rarer than one in twenty. */
const LEAST_TESTED = 5;
const DAY = 86_400_000;

const ASKED = MARKS.filter((m) => m.asked === undefined && !(m.kind === 'measure' && m.against !== undefined));

/**
 * Whether marks get worse the longer a spool lies open: since it was dried, or since it was opened. Portions are left out.
 * Source: Spearman's rank correlation, exact by permutation; the clock is a house rule.
 * @example overDays(evidence, basis)[0]?.outcome // 'looksWorse'
 */
export function overDays(evidence: SpoolEvidence, basis: Pick<Basis, 'scorerEffects'>): OverDays[] {
	const whole = evidence.attempts.filter((a) => settled(a) && a.portionId === null).sort((a, b) => a.at - b.at);
	const opened = evidence.events.find((e) => e.kind === 'opened' && e.status !== 'excluded')?.at ?? whole[0]?.at ?? 0;
	const daysOf = new Map<string | null, number>(whole.map((a) => [a.id, (a.at - (conditionOf(evidence, a).since ?? opened)) / DAY]));
	const marksOn = marksFinder(evidence);
	return [...new Set(whole.map((a) => a.pieceId))].flatMap((pieceId) => {
		const marks = marksOn(whole.filter((a) => a.pieceId === pieceId));
		return ASKED.flatMap((mark) => {
			const prints = printValues({ marks, basis }, mark)
				.flatMap(({ attemptId, value }) => {
					const days = daysOf.get(attemptId);
					return days === undefined ? [] : [{ days, value }];
				})
				.sort((a, b) => a.days - b.days);
			const [days, values] = [prints.map((p) => p.days), prints.map((p) => p.value)];
			const r = prints.length < LEAST ? null : spearman(days, values);
			if (r === null) return [];
			const p = spearmanP(days, values);
			const worse = mark.def.direction === 'less' ? r > 0 : r < 0;
			const outcome = prints.length < LEAST_TESTED ? looks(r, worse) : p !== null && p < 0.05 ? (worse ? 'worse' : 'better') : 'noTrend';
			return [{ quantity: mark.def.id, pieceId, prints, outcome, p }];
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
		p: p ?? 1
	});
}
