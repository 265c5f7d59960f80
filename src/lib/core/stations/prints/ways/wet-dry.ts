import { nth } from '../../../kernel/lists/nth';
import { mean } from 'd3-array';
import { conditionOf } from '../../../record/conditions/condition-at';
import type { Attempt } from '../../../record/evidence/attempt';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { Basis } from '../../../judging/trial/basis';
import { say, type Message, type MessageOf } from '../../../judging/finding/message';
import type { ConditionKind } from '../../../record/lists/closed-lists';
import { fisherExact } from '../../../kernel/stats/fisher-exact';
import { judgePairs, type PairsVerdict } from './judge-pairs';
import { JUDGED_MARKS, type MarkDef } from '../marks/marks';
import { marksFinder, type MarksOn } from '../marks/marks-on';
import { outcomes } from '../success/outcomes';
import { printValues } from '../marks/print-values';
import { settled } from '../../../record/evidence/settled';

/** A state by name and age: how long ago it began, days; null for a spool as it came. */
export type StateThen = { kind: ConditionKind; days: number | null };

/** One mark of one piece printed before and after one drying, with the states they were really printed in. */
export type WetDryPair = { pieceId: string; wet: number; dry: number; before: StateThen; after: StateThen };

export type WetDry = PairsVerdict & {
	quantity: string;
	pairs: WetDryPair[];
	/** How much it changed on average, in differences that matter; above 0 for the better. */
	change: number;
};

const DAY = 86_400_000;

/** Prints of one piece around one drying: those since the drying before it, newest first, and those until the next one, oldest first. */
type Around = { pieceId: string; before: Attempt[]; after: Attempt[]; marks: MarksOn };

/**
 * Prints of one piece from one spool before and after a drying, as pairs across that very drying: the last one before it with the first one after,
 * and so on outwards while the first were not dried and the others still are. Two dryings give two pairs. A pair needs its mark on both sides;
 * pieces and portions are never mixed.
 * Source: sign test (Conover); the pairing is a house rule.
 * @example wetAndDry(evidence, basis).find((w) => w.quantity === 'strings')?.outcome // 'tooFew'
 */
export function wetAndDry(evidence: SpoolEvidence, basis: Pick<Basis, 'scorerEffects'>): WetDry[] {
	const around = aroundDryings(evidence);
	const found = JUDGED_MARKS.map((mark) => ({
		def: mark.def,
		pairs: around.flatMap((prints) => pairsOf(evidence, basis, prints, mark))
	})).filter(({ pairs }) => pairs.length > 0);
	const verdicts = judgePairs(found.map(({ def, pairs }) => ({ def, pairs: pairs.map(({ wet, dry }) => [wet, dry] as const) })));
	return found.map(({ def, pairs }, i) => ({
		quantity: def.id,
		pairs,
		change: (mean(pairs, (p) => (def.direction === 'less' ? p.wet - p.dry : p.dry - p.wet)) ?? 0) / def.differenceThatMatters,
		...nth(verdicts, i)
	}));
}

/** What drying did to one mark, as it is told. */
export type WetDryMessage = MessageOf<'wetDry.few' | `wetDry.${PairsVerdict['outcome']}`>;

/** Up to here pairs are told one by one: two values say more than a count of two. */
const FEW = 2;

/**
 * The same as a message for the interface. A pair or two are told as they are.
 * @example wetDryMessage(compared).id // 'wetDry.few'
 */
export function wetDryMessage(compared: WetDry): WetDryMessage {
	const { quantity, better, worse, same, p, outcome, pairs, change } = compared;
	const [first, second] = pairs;
	if (first && pairs.length <= FEW)
		return say('wetDry.few', {
			quantity,
			change,
			wet: first.wet,
			dry: first.dry,
			wet2: second?.wet ?? null,
			dry2: second?.dry ?? null,
			better,
			worse,
			before: first.before.kind,
			beforeDays: first.before.days,
			afterDays: first.after.days ?? 0
		});
	return say(`wetDry.${outcome}`, { quantity, change, better, worse, same, pairs: pairs.length, p: p ?? 1 });
}

/**
 * Prints that finished before and after drying, unpaired: failures count too, though nothing can be paired with them.
 * Source: Fisher's exact test.
 * @returns null where one of the two has no print, or nothing failed
 * @example wetDryFinished(evidence, basis)?.params // { wet: 2, wetN: 5, dry: 5, dryN: 5, p: 0.17 }
 */
export function wetDryFinished(evidence: SpoolEvidence, { failureRule }: Pick<Basis, 'failureRule'>): Message | null {
	const whole = evidence.attempts.filter((a) => a.portionId === null);
	const of = (dried: boolean) =>
		outcomes(
			whole.filter((a) => (conditionOf(evidence, a).kind === 'dried') === dried),
			failureRule
		);
	const [wet, dry] = [of(false), of(true)];
	const [wetN, dryN] = [wet.counted.length, dry.counted.length];
	if (wetN === 0 || dryN === 0 || wet.failed + dry.failed === 0) return null;
	const p = fisherExact([wet.finished, wet.failed], [dry.finished, dry.failed]);
	return say('wetDry.finished', { wet: wet.finished, wetN, dry: dry.finished, dryN, p });
}

/** The prints of each piece around each drying. What is printed while a dryer runs comes after its drying began. */
function aroundDryings(evidence: SpoolEvidence): Around[] {
	const begins = evidence.events
		.filter((e) => e.status !== 'excluded' && e.portionId === null && (e.kind === 'dried' || e.kind === 'drying'))
		.map((e) => e.drying?.startedAt ?? e.at)
		.sort((a, b) => a - b);
	const marksOn = marksFinder(evidence);
	const whole = evidence.attempts.filter((a) => settled(a) && a.portionId === null).sort((a, b) => a.at - b.at);
	return begins.flatMap((begin, i) =>
		[...new Set(whole.map((a) => a.pieceId))].map((pieceId) => {
			const near = whole.filter((a) => a.pieceId === pieceId && a.at >= (begins[i - 1] ?? -Infinity) && a.at < (begins[i + 1] ?? Infinity));
			const before = near.filter((a) => a.at < begin).reverse();
			const after = near.filter((a) => a.at >= begin);
			return { pieceId, before, after, marks: marksOn(near) };
		})
	);
}

function pairsOf(
	evidence: SpoolEvidence,
	basis: Pick<Basis, 'scorerEffects'>,
	{ pieceId, before, after, marks }: Around,
	mark: MarkDef
): WetDryPair[] {
	const values = new Map(printValues({ marks, basis }, mark).map((v) => [v.attemptId, v.value]));
	const marked = (of: readonly Attempt[]) =>
		of.flatMap((a) => {
			const value = values.get(a.id);
			return value === undefined ? [] : [{ value, state: stateThen(evidence, a) }];
		});
	const wet = marked(before).filter(({ state }, i) => i === 0 || state.kind !== 'dried');
	const dry = marked(after).filter(({ state }) => state.kind === 'dried');
	return dry.slice(0, wet.length).flatMap(({ value, state }, i) => {
		const first = wet[i];
		return first ? [{ pieceId, wet: first.value, dry: value, before: first.state, after: state }] : [];
	});
}

/**
 * The state something was printed in, with its age.
 * @returns age in days
 * @example stateThen(evidence, attempt) // { kind: 'dried', days: 1.5 }
 */
export function stateThen(evidence: SpoolEvidence, attempt: Attempt): StateThen {
	const { kind, since } = conditionOf(evidence, attempt);
	return { kind, days: since === null ? null : (attempt.at - since) / DAY };
}
