import type { FailureRule, SpoolEvidence } from '../evidence';
import { makeFinding } from '../finding/make-finding';
import type { Finding, Message } from '../finding/types';
import { wilsonInterval } from '../stats/wilson';
import { contextOf } from './context';
import { isFlexible } from './find-flexible';
import { outcomes } from './outcomes';
import { printSuccess } from './quantities';

/**
 * Success over all pieces and conditions of the spool; drawn from the Jeffreys beta, shown with Wilson.
 * @example findSuccess(evidence, 'filament').estimate // 0.75
 */
export function findSuccess(evidence: SpoolEvidence, rule: FailureRule): Finding {
	const { finished, failed, notCounted, counted, firstSuccess } = outcomes(evidence.attempts, rule);
	const n = finished + failed;
	const common = {
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		context: contextOf(evidence, counted),
		method: 'successShare',
		source: 'Wilson 1927; drawn from Beta(x + 1/2, n - x + 1/2) (Jeffreys)',
		inputs: {
			used: counted.map((a) => a.id),
			excluded: evidence.attempts.filter((a) => a.status === 'excluded').map((a) => a.id),
			revision: evidence.spool.revision
		},
		missing: n === 0 ? [{ action: 'printPiece', station: 'prints', count: 1, minutes: 60, params: { count: 1 } }] : []
	};
	const leftOut: Message[] = notCounted > 0 ? [{ id: 'failuresNotCounted', params: { count: notCounted } }] : [];
	if (n === 0)
		return makeFinding(printSuccess, {
			...common,
			sampling: { kind: 'unknown', reason: { id: 'noPrints', params: {} } },
			messages: leftOut
		});
	const wilson = wilsonInterval(finished, n) as { low: number; high: number };
	return makeFinding(printSuccess, {
		...common,
		estimate: finished / n,
		n,
		interval: { ...wilson, level: 0.95, kind: 'confidence' },
		sampling: { kind: 'beta', a: finished + 0.5, b: failed + 0.5 },
		messages: [
			{ id: 'successCount', params: { finished, n } },
			...(firstSuccess !== null && firstSuccess > 1 ? [{ id: 'firstSuccess', params: { attempt: firstSuccess } }] : []),
			...(finished === 0 && isFlexible(evidence.spool.material) ? [{ id: 'notPrintedAtAll', params: { n } }] : []),
			...leftOut
		],
		figure: { kind: 'share', successes: finished, n }
	});
}
