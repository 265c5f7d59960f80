import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { makeFinding } from '../../../judging/finding/make-finding';
import { say, type Message } from '../../../judging/finding/message';
import type { Finding } from '../../../judging/finding/types';
import { BETA_PROBABILITIES } from '../../../judging/posterior/success';
import { betaQuantile } from '../../../kernel/stats/distributions';
import type { Basis } from '../../../judging/trial/basis';
import { contextOf } from '../marks/context';
import { countedPrints } from './counted-prints';
import { isFlexible } from './find-flexible';
import { ANY_PRINT } from './outcomes';
import { printSuccess } from './quantities';

/**
 * The share of prints that finish, with what is known of such prints: a few that went well are no certainty.
 * @example findSuccess(evidence, basis).messages[0] // { id: 'successCount', params: { finished: 3, n: 4 } }
 */
export function findSuccess(evidence: SpoolEvidence, basis: Basis): Finding {
	const { finished, failed, notCounted, notCountedCauses, kinds, tuning, counted, firstSuccess, success, cells, elsewhere } = countedPrints(
		evidence,
		basis
	);
	const n = finished + failed;
	const common = {
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		context: contextOf(evidence, counted),
		method: 'successShare',
		source: 'beta-binomial, prior of the record (docs/methods/posterior.md)',
		priorSet: basis.priors.number,
		inputs: {
			used: counted.map((a) => a.id),
			excluded: evidence.attempts.filter((a) => a.status === 'excluded').map((a) => a.id),
			revision: evidence.spool.revision
		},
		missing: n === 0 ? [ANY_PRINT] : []
	};
	const leftOut: Message[] = [
		...(notCounted > 0 ? [say('failuresNotCounted', { count: notCounted })] : []),
		...kinds.map(({ kind, count }) => say('failedHow', { kind, count })),
		...(tuning > 0 ? [say('tuningPrints', { count: tuning })] : []),
		...(elsewhere > 0 ? [say('printsElsewhere', { count: elsewhere })] : [])
	];
	if (n === 0) {
		const expected = {
			probabilities: [...BETA_PROBABILITIES],
			values: BETA_PROBABILITIES.map((p) => betaQuantile(p, success.finished, success.failed))
		};
		return makeFinding(printSuccess, {
			...common,
			sampling: { kind: 'unknown', reason: say('noPrints'), expected },
			messages: leftOut
		});
	}
	return makeFinding(printSuccess, {
		...common,
		estimate: success.estimate,
		n,
		interval: { low: success.low, high: success.high, level: 0.95, kind: 'credible' },
		sampling: { kind: 'beta', a: success.finished, b: success.failed },
		word:
			notCounted > 0
				? say('lostOtherwise', { count: notCounted, cause: notCountedCauses.length === 1 ? (notCountedCauses[0] ?? null) : null })
				: null,
		messages: [
			say('successCount', { finished, n }),
			...(n < 3 ? [say('successPrior', { cells })] : []),
			...(firstSuccess !== null && firstSuccess > 1 ? [say('firstSuccess', { attempt: firstSuccess })] : []),
			...(finished === 0 && isFlexible(evidence.spool.material) ? [say('notPrintedAtAll', { n })] : []),
			...leftOut
		],
		figure: { kind: 'share', successes: finished, n }
	});
}
