import type { Protocol } from '../../judging/trial/protocol';
import type { ToleranceClaim } from './claims';
import { claimVerdict, strictVerdict, type ClaimVerdict } from './claim-verdict';
import type { Strand } from './strand';

/** A claim with what the trial's rule says of it. */
export type JudgedClaim = { claim: ToleranceClaim; verdict: ClaimVerdict['verdict'] | 'onePlace'; byShare: ClaimVerdict | null };

/**
 * Judges one claim by the trial's rule.
 * @example judgeClaim('share', strand, claim).verdict // 'undecided'
 */
export function judgeClaim(rule: Protocol['claimRule'], strand: Strand, claim: ToleranceClaim): JudgedClaim {
	const { lowMm, highMm } = claim;
	const byShare = claimVerdict(strand, lowMm, highMm);
	if (rule === 'share') return { claim, verdict: byShare?.verdict ?? 'onePlace', byShare };
	const read = { lowMm: strand.lowMm, highMm: strand.highMm };
	return { claim, verdict: strictVerdict(read, strand.budget.standardUncertaintyMm, lowMm, highMm), byShare };
}
