import { nth } from '../../../kernel/lists/nth';
import { bisector, minIndex } from 'd3-array';
import { conditionOf } from '../../../record/conditions/condition-at';
import type { Attempt } from '../../../record/evidence/attempt';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { say, type Message } from '../../../judging/finding/message';
import { relativeWater, type Relative } from '../../moisture/account';
import { tareOf } from '../../moisture/tare';
import { weighings } from '../../moisture/weighings';
import { holm } from '../../../kernel/stats/holm';
import { spearman, spearmanP } from '../../../kernel/stats/spearman';
import type { Basis } from '../../../judging/trial/basis';
import { JUDGED_MARKS } from './marks';
import { marksFinder } from './marks-on';
import { printValues } from './print-values';
import { settled } from '../../../record/evidence/settled';

/** One mark of one piece over the days its spool lay open, or over the water it had taken up. */
export type MarkOver = {
	over: 'days' | 'water';
	quantity: string;
	pieceId: string;
	/** Days in the open, or water in per cent of the filament beyond its driest weighing; and what was marked then, in the order of the former. */
	prints: { at: number; value: number }[];
	/** Whether it gets worse with the days or the water: by the exact test, or as it looks while that can say nothing. */
	outcome: 'worse' | 'better' | 'looksWorse' | 'looksBetter' | 'noTrend';
	/** Test of the rank correlation, corrected for the marks that are tested with it. */
	p: number;
};

/** With two any order is a trend. */
const LEAST = 3;
/** Under five prints no order of them is rarer than one in twenty. */
const LEAST_TESTED = 5;
const DAY = 86_400_000;

type Rules = Pick<Basis, 'scorerEffects'>;

/**
 * Whether marks get worse the longer a spool lies open: since it was dried, or since it was opened. Portions are left out, what was soaked, and
 * prints whose state was put right and has no moment. Of many
 * marks one would show a trend by luck: all that are tested are corrected together.
 * Source: Spearman's rank correlation; Holm 1979; the clock is a house rule.
 * @example overDays(evidence, basis)[0]?.outcome // 'looksWorse'
 */
export function overDays(evidence: SpoolEvidence, basis: Rules): MarkOver[] {
	const opened = evidence.events.find((e) => e.kind === 'opened' && e.status !== 'excluded')?.at;
	const open = wholePrints(evidence);
	const start = opened ?? open[0]?.at ?? 0;
	return judged('days', open, evidence, basis, (a) => {
		const { kind, since } = conditionOf(evidence, a);
		// A state that was put right has no moment: no day is made up for it.
		return since === null && kind !== 'asReceived' ? null : (a.at - (since ?? start)) / DAY;
	});
}

/**
 * Whether marks get worse with the water a spool has taken up: where it was weighed, between its weighings in proportion, and for a day before and after
 * them. Prints in between take filament, no water. As for days.
 * Source: Spearman's rank correlation; Holm 1979; water by `account.ts`; the day is common practice, no source.
 * @example overWater(evidence, basis)[0]?.prints[0] // { at: 0.05, value: 1 }: a wisp with 0.05 % of water
 */
export function overWater(evidence: SpoolEvidence, basis: Rules): MarkOver[] {
	const chain = weighings(evidence);
	if (chain.length < 2) return [];
	const tare = tareOf(evidence, chain);
	const driest = minIndex(relativeWater(chain, tare, 0), (w) => w.share);
	const water = relativeWater(chain, tare, driest);
	return judged('water', wholePrints(evidence), evidence, basis, (a) => waterAt(water, a.at));
}

const byTime = bisector((w: Relative) => w.at);

/** Water at a moment, per cent; null where no weighing is near. */
function waterAt(water: readonly Relative[], at: number): number | null {
	const next = byTime.left(water, at);
	const [before, after] = [water[next - 1], water[next]];
	if (before && after) return 100 * (before.share + ((at - before.at) / (after.at - before.at)) * (after.share - before.share));
	const only = before ?? after;
	return only && Math.abs(only.at - at) <= DAY ? 100 * only.share : null;
}

const wholePrints = (evidence: SpoolEvidence): Attempt[] =>
	evidence.attempts
		.filter((a) => settled(a) && a.portionId === null && conditionOf(evidence, a).kind !== 'soaked')
		.sort((a, b) => a.at - b.at);

/** What is tested of one mark, before all marks are corrected together. */
type Trend = Omit<MarkOver, 'outcome'> & { r: number; worse: boolean };

function judged(
	over: MarkOver['over'],
	attempts: readonly Attempt[],
	evidence: SpoolEvidence,
	basis: Rules,
	placeOf: (attempt: Attempt) => number | null
): MarkOver[] {
	const trends = trendsOf(over, attempts, evidence, basis, placeOf);
	const tested = trends.filter((t) => t.prints.length >= LEAST_TESTED);
	const corrected = holm(tested.map((t) => t.p));
	return trends.map((trend) => {
		const { r, worse, ...of } = trend;
		const at = tested.indexOf(trend);
		if (at < 0) return { ...of, outcome: looks(r, worse) };
		const p = nth(corrected, at);
		return { ...of, p, outcome: p >= 0.05 ? 'noTrend' : worse ? 'worse' : 'better' };
	});
}

function trendsOf(
	over: MarkOver['over'],
	attempts: readonly Attempt[],
	evidence: SpoolEvidence,
	basis: Rules,
	placeOf: (attempt: Attempt) => number | null
): Trend[] {
	const places = new Map<string | null, number | null>(attempts.map((a) => [a.id, placeOf(a)]));
	const marksOn = marksFinder(evidence);
	return [...new Set(attempts.map((a) => a.pieceId))].flatMap((pieceId) => {
		const marks = marksOn(attempts.filter((a) => a.pieceId === pieceId));
		return JUDGED_MARKS.flatMap((mark) => {
			const prints = printValues({ marks, basis }, mark)
				.flatMap(({ attemptId, value }) => {
					const at = places.get(attemptId) ?? null;
					return at === null ? [] : [{ at, value }];
				})
				.sort((a, b) => a.at - b.at);
			const [at, values] = [prints.map((p) => p.at), prints.map((p) => p.value)];
			const r = prints.length < LEAST ? null : spearman(at, values);
			const p = r === null ? null : spearmanP(at, values);
			if (r === null || p === null) return [];
			return [{ over, quantity: mark.def.id, pieceId, prints, p, r, worse: mark.def.direction === 'less' ? r > 0 : r < 0 }];
		});
	});
}

/** A few prints show a trend only where hardly one of them is out of order (common practice, no source). */
const PLAIN = 0.8;
const looks = (r: number, worse: boolean): MarkOver['outcome'] => (Math.abs(r) < PLAIN ? 'noTrend' : worse ? 'looksWorse' : 'looksBetter');

/**
 * The same as a message for the interface.
 * @example markOverMessage(found).id // 'markOver.looksWorse'
 */
export function markOverMessage({ over, quantity, prints, outcome, p }: MarkOver): Message {
	const [first, last] = [prints[0], prints.at(-1)];
	return say(`markOver.${outcome}`, {
		over,
		quantity,
		prints: prints.length,
		from: first?.value ?? 0,
		fromAt: first?.at ?? 0,
		to: last?.value ?? 0,
		toAt: last?.at ?? 0,
		p
	});
}
