import { makeFinding } from '../../judging/finding/make-finding';
import { say } from '../../judging/finding/message';
import type { Finding } from '../../judging/finding/types';
import { wilsonInterval } from '../../kernel/stats/wilson';
import { sentenceOfClaim } from './claim-sentence';
import type { JudgedClaim } from './judge-claim';
import { diameterInside, diameterOutside } from './quantities';
import { boundOf } from './share-inside';
import { sharesDiffer } from './shares-differ';
import type { Strand } from './strand';
import type { StrandSubject } from './subject';

const unknown = (id: 'noReadings' | 'noToleranceStated' | 'onePlace') => ({ kind: 'unknown' as const, reason: say(id) });

/**
 * Share of readings outside the stated tolerance as observed, limits inclusive, with Wilson's interval; of dependent readings over their
 * effective number.
 * @example findOutside(subject).figure // { kind: 'share', successes: 1, n: 10 }
 */
export function findOutside({ strand, claims, common, judged }: StrandSubject): Finding {
	const [claim] = claims;
	const given = { ...common, method: 'shareOutside', source: 'Wilson 1927; drawn from Beta(x + 1/2, n - x + 1/2) (Jeffreys)' };
	if (!claim || !strand) return makeFinding(diameterOutside, { ...given, sampling: unknown(claim ? 'noReadings' : 'noToleranceStated') });
	const outside = strand.outside(claim.lowMm, claim.highMm);
	const { n } = strand;
	// A log's readings repeat each other; hand readings are taken as they are, a place's two directions look at two diameters.
	const worth = strand.from === 'log' ? strand.nEffective / n : 1;
	const [x, m] = [Math.round(outside * worth), Math.round(n * worth)];
	const wilson = wilsonInterval(x, m) as { low: number; high: number };
	return makeFinding(diameterOutside, {
		...given,
		estimate: outside / n,
		n,
		nEffective: m,
		interval: { ...wilson, level: 0.95, kind: 'confidence' },
		sampling: { kind: 'beta', a: x + 0.5, b: m - x + 0.5 },
		messages: [say('outsideCount', { outside, n }), ...sharesDiffer(strand, claim, judged[0]?.byShare ?? null)],
		figure: { kind: 'share', successes: outside, n }
	});
}

/**
 * Share of length inside each stated tolerance, the instrument taken out, with the verdict on the claim: for the label first, and for the
 * listing as a variant of its own where it says otherwise.
 * @example findInside(subject)[0].messages[0].id // 'claimKept'
 */
export function findInside(subject: StrandSubject): Finding[] {
	const { claims, common, strand } = subject;
	if (claims.length === 0 || !strand)
		return [
			makeFinding(diameterInside, {
				...common,
				method: 'shareInside',
				source: SOURCE,
				sampling: unknown(claims.length ? 'noReadings' : 'noToleranceStated')
			})
		];
	return subject.judged.map((judged, i) => insideOf(subject, strand, judged, i === 0 ? null : judged.claim.source));
}

const SOURCE = 'generalized confidence interval of a normal share (Weerahandi 1993); JCGM 100 for the instrument';
/** Chances at which the pick may read the distribution. */
const PROBABILITIES = [0.01, 0.05, 0.1, 0.25, 0.5, 0.75, 0.9, 0.95, 0.99];

function insideOf(subject: StrandSubject, strand: Strand, judged: JudgedClaim, variant: string | null): Finding {
	const { byShare } = judged;
	const given = {
		...subject.common,
		subject: { ...subject.common.subject, variant },
		method: 'shareInside',
		source: SOURCE,
		messages: [sentenceOfClaim(subject, strand, judged)],
		n: strand.n,
		nEffective: strand.nEffective
	};
	if (!byShare) return makeFinding(diameterInside, { ...given, sampling: unknown('onePlace') });
	const { ordered, share } = byShare;
	return makeFinding(diameterInside, {
		...given,
		estimate: share.estimate,
		interval: { low: boundOf(ordered, 0.025), high: boundOf(ordered, 0.975), level: 0.95, kind: 'credible' },
		sampling: { kind: 'quantiles', probabilities: PROBABILITIES, values: PROBABILITIES.map((p) => boundOf(ordered, p)) },
		figure: { kind: 'dot', points: [] }
	});
}
