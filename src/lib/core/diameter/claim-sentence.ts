import type { Message } from '../finding/types';
import { checkedUncertainty } from './budget';
import type { ToleranceClaim } from './claims';
import { GUARD } from './claim-verdict';
import { conformanceProbability } from './conformance';
import { decisiveness } from './decisiveness';
import { flowError } from './flow';
import type { JudgedClaim } from './judge-claim';
import type { Strand } from './strand';
import type { StrandSubject } from './subject';

/**
 * The one sentence: whether the maker's tolerance is kept, broken or not to be decided, and what would decide it.
 * @example claimSentence(subject, strand).id // 'claimNever'
 */
export function claimSentence(subject: StrandSubject, strand: Strand): Message {
	const { nominalMm } = subject;
	const params = {
		n: strand.n,
		low: strand.lowMm,
		high: strand.highMm,
		worst: Math.max(Math.abs(strand.lowMm - nominalMm), Math.abs(strand.highMm - nominalMm)),
		worstFlowPct: Math.max(Math.abs(flowError(strand.lowMm, nominalMm)), Math.abs(flowError(strand.highMm, nominalMm))) * 100
	};
	return subject.judged[0] ? judgedSentence(subject, strand, subject.judged[0], params) : { id: 'diameterNoClaim', params };
}

/**
 * The sentence of one claim.
 * @example sentenceOfClaim(subject, strand, subject.judged[1]).id // 'claimKept'
 */
export function sentenceOfClaim(subject: StrandSubject, strand: Strand, judged: JudgedClaim): Message {
	return judgedSentence(subject, strand, judged, { n: strand.n });
}

function judgedSentence(
	subject: StrandSubject,
	strand: Strand,
	{ claim, verdict, byShare }: JudgedClaim,
	params: Message['params']
): Message {
	const uMm = strand.budget.standardUncertaintyMm;
	const outside = strand.outside(claim.lowMm, claim.highMm);
	const all = { ...params, tolerance: claim.toleranceMm, source: claim.source, outside, u: uMm };
	if (subject.protocol.claimRule === 'anyReading') {
		const chances = [strand.lowMm, strand.highMm].map((v) => conformanceProbability(v, uMm, claim.lowMm, claim.highMm));
		return { id: `strict.${verdict}`, params: { ...all, guard: GUARD * uMm, chance: Math.min(...chances) } };
	}
	if (!byShare || verdict === 'onePlace') return { id: 'claimOnePlace', params: all };
	const share = { lowPct: byShare.share.low * 100, highPct: byShare.share.high * 100, sharePct: byShare.share.estimate * 100 };
	if (verdict !== 'undecided') return { id: verdict === 'kept' ? 'claimKept' : 'claimBroken', params: { ...all, ...share } };
	if (byShare.more !== null) return { id: 'claimMore', params: { ...all, ...share, more: byShare.more } };
	return {
		id: strand.budget.check?.near || !checkWouldDo(strand, claim) ? 'claimNeverFiner' : 'claimNeverCheck',
		params: { ...all, ...share }
	};
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
		{ id: `budget.${budget.largest}`, params: { u: budget.standardUncertaintyMm } },
		...(budget.named ? [] : [{ id: 'instrumentUnnamed', params: { errorLimit: 0.02 } }]),
		...(check?.near ? [{ id: 'biasTaken', params: { bias: check.bias, n: check.n, reference: check.reference } }] : []),
		...(check && !check.near ? [{ id: 'checkFar', params: { reference: check.reference } }] : []),
		...(other ? [sentenceOfClaim(subject, strand, other)] : [])
	];
}

/**
 * Whether an instrument can ever decide a tolerance, in one line and before any reading.
 * @example instrumentLine(0.0119, 0.02).id // 'instrument.onlyBroken'
 */
export function instrumentLine(uMm: number, toleranceMm: number): Message {
	const can = decisiveness(uMm, toleranceMm);
	return {
		id: `instrument.${can.able}`,
		params: { u: uMm, tolerance: toleranceMm, keepSd: can.keepSdMm ?? 0, breakFrom: can.breakFromMm }
	};
}
