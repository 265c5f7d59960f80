import { normalCdf } from '../../kernel/stats/distributions';
import { say, type Message } from '../../judging/finding/message';
import { wilsonInterval } from '../../kernel/stats/wilson';
import type { ToleranceClaim } from './claims';
import type { ClaimVerdict } from './claim-verdict';
import type { Strand } from './strand';

/**
 * What the normal model makes of the share outside, and why it differs from the observed one where it does. The observed share counts
 * readings with the instrument's scatter and step in them, the modelled one means the strand itself.
 * Source: JCGM 106:2012, 6 (scatter of the instrument moves readings over a limit); the order of the reasons is common practice, no source.
 * @returns nothing for a log, whose share is counted and not modelled
 * @example sharesDiffer(strand, claim, byShare).map((m) => m.id) // ['outsideModelled', 'differsByScatter']
 */
export function sharesDiffer(strand: Strand, claim: ToleranceClaim, byShare: ClaimVerdict | null): Message[] {
	if (strand.from === 'log' || !byShare || strand.sdMm === null) return [];
	const { share } = byShare;
	const modelled = 1 - share.estimate;
	const said = say('outsideModelled', { pct: modelled * 100, lowPct: (1 - share.high) * 100, highPct: (1 - share.low) * 100 });
	const reason = reasonOf(strand, claim, modelled);
	return reason ? [said, reason] : [said];
}

/** Shares closer than this are one and the same to a tester (common practice, no source). */
const ALIKE = 0.01;

function reasonOf(strand: Strand, { lowMm, highMm }: ToleranceClaim, modelled: number): Message | null {
	const { n } = strand;
	const outside = strand.outside(lowMm, highMm);
	if (Math.abs(outside / n - modelled) < ALIKE) return null;
	const seen = wilsonInterval(outside, n) as { low: number; high: number };
	const goesWith = (share: number) => share >= seen.low && share <= seen.high;
	if (goesWith(modelled)) return say('differsByChance', { n });
	const asRead = (widerMm: number) => shareOutside(strand, lowMm - widerMm, highMm + widerMm);
	if (modelled < seen.low) return say(goesWith(asRead(0)) ? 'differsByScatter' : 'differsByTails');
	const step = strand.budget.resolutionMm;
	return goesWith(asRead(step / 2)) ? say('differsByStep', { step }) : say('differsByBunching');
}

/** Normal share outside with the instrument's scatter left in, as readings show it. */
function shareOutside({ meanMm, sdMm }: Strand, lowMm: number, highMm: number): number {
	const sd = Math.max(sdMm as number, 1e-9);
	return 1 - (normalCdf((highMm - meanMm) / sd) - normalCdf((lowMm - meanMm) / sd));
}
