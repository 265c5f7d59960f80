import { say, type Message } from '../../judging/finding/message';
import { checkedUncertainty } from './budget';
import type { ToleranceClaim } from './claims';
import { GUARD } from './claim-verdict';
import { conformanceProbability } from './conformance';
import { decisiveness } from './decisiveness';
import type { JudgedClaim } from './judge-claim';
import type { Strand } from './strand';
import type { StrandSubject } from './subject';

/**
 * The one sentence: whether the maker's tolerance is kept, broken or not to be decided, and what would decide it.
 * @example claimSentence(subject, strand).id // 'claimNever'
 */
export function claimSentence(subject: StrandSubject, strand: Strand): Message {
	const [first] = subject.judged;
	return first ? sentenceOfClaim(subject, strand, first) : say('diameterNoClaim', { n: strand.n, low: strand.lowMm, high: strand.highMm });
}

/**
 * The sentence of one claim.
 * @example sentenceOfClaim(subject, strand, subject.judged[1]).id // 'claimKept'
 */
export function sentenceOfClaim(subject: StrandSubject, strand: Strand, { claim, verdict, byShare }: JudgedClaim): Message {
	const uMm = strand.budget.standardUncertaintyMm;
	const outside = strand.outside(claim.lowMm, claim.highMm);
	const said = { n: strand.n, tolerance: claim.toleranceMm, source: claim.source, outside };
	if (verdict === 'onePlace') return say('claimOnePlace', said);
	if (subject.basis.claimRule === 'anyReading') {
		const chances = [strand.lowMm, strand.highMm].map((v) => conformanceProbability(v, uMm, claim.lowMm, claim.highMm));
		return say(`strict.${verdict}`, { ...said, guard: GUARD * uMm, chance: Math.min(...chances) });
	}
	if (!byShare) return say('claimOnePlace', said);
	const inside = { ...said, lowPct: byShare.share.low * 100, highPct: byShare.share.high * 100 };
	if (verdict !== 'undecided') return say(verdict === 'kept' ? 'claimKept' : 'claimBroken', inside);
	const { tooFew, next, decidesAt } = byShare;
	if (strand.from === 'log') return tooFew ? say('claimLogTooShort', { ...said, ...tooFew }) : say('claimLogUndecided', inside);
	if (next !== null && decidesAt !== null)
		return tooFew ? say('claimFewSpots', { ...said, ...tooFew }) : say('claimMore', { ...inside, next, decidesAt });
	return say(strand.budget.check?.near || !checkWouldDo(strand, claim) ? 'claimNeverFiner' : 'claimNeverCheck', inside);
}

/** Whether the same instrument, checked against a pin, could decide it. */
function checkWouldDo(strand: Strand, claim: ToleranceClaim): boolean {
	return decisiveness(checkedUncertainty(strand.budget.resolutionMm), claim.toleranceMm).able !== 'onlyBroken';
}

/**
 * What the instrument can say at all, its largest term, and what was taken off; then the other claim.
 * @example instrumentLines(subject, strand).map((m) => m.id) // ['instrument.onlyBroken', 'budgetLargest']
 */
export function instrumentLines(subject: StrandSubject, strand: Strand): Message[] {
	const { budget } = strand;
	const [first, other] = subject.judged;
	const { check } = budget;
	return [
		...(first ? [instrumentLine(budget.standardUncertaintyMm, first.claim.toleranceMm)] : []),
		say(`budget.${budget.largest}`),
		...(budget.named ? [] : [say('instrumentUnnamed', { errorLimit: 0.02 })]),
		...(check?.near ? [say('biasTaken', { bias: check.bias, n: check.n, reference: check.reference })] : []),
		...(check && !check.near ? [say('checkFar', { reference: check.reference })] : []),
		...(other ? [sentenceOfClaim(subject, strand, other)] : [])
	];
}

/**
 * Whether an instrument can ever decide a tolerance, in one line and before any reading.
 * @example instrumentLine(0.0119, 0.02).id // 'instrument.onlyBroken'
 */
export function instrumentLine(uMm: number, toleranceMm: number): Message {
	const can = decisiveness(uMm, toleranceMm);
	return say(`instrument.${can.able}`, { u: uMm, tolerance: toleranceMm, keepSd: can.keepSdMm ?? 0, breakFrom: can.breakFromMm });
}
