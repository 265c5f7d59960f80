import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { FailureRule } from '../trial/protocol';
import { makeFinding } from '../finding/make-finding';
import { say, type Message } from '../finding/message';
import type { Finding } from '../finding/types';
import { wilsonInterval } from '../stats/wilson';
import { contextOf } from './context';
import { isFlexible } from './find-flexible';
import { ANY_PRINT, outcomes } from './outcomes';
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
		missing: n === 0 ? [ANY_PRINT] : []
	};
	const leftOut: Message[] = notCounted > 0 ? [say('failuresNotCounted', { count: notCounted })] : [];
	if (n === 0)
		return makeFinding(printSuccess, {
			...common,
			sampling: { kind: 'unknown', reason: say('noPrints') },
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
			say('successCount', { finished, n }),
			...(firstSuccess !== null && firstSuccess > 1 ? [say('firstSuccess', { attempt: firstSuccess })] : []),
			...(finished === 0 && isFlexible(evidence.spool.material) ? [say('notPrintedAtAll', { n })] : []),
			...leftOut
		],
		figure: { kind: 'share', successes: finished, n }
	});
}
