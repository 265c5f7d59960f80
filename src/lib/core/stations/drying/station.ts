import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { EMPTY_CONTEXT, makeFinding } from '../../judging/finding/make-finding';
import { say, type Message } from '../../judging/finding/message';
import type { Finding } from '../../judging/finding/types';
import type { Station } from '../../judging/station/station';
import { dryingLoss } from './quantities';
import { dryingResults } from './results';

/** What a drying takes when nothing else is known (common practice, no source). */
const DRYING_MINUTES = 4 * 60;

export const dryingStation: Station = {
	id: 'drying',
	invited: true,
	quantities: () => [dryingLoss],
	find: (evidence) => [findLoss(evidence)],
	next: (findings) => findings.flatMap((f) => f.missing)
};

function findLoss(evidence: SpoolEvidence): Finding {
	const results = dryingResults(evidence);
	const [first] = results;
	const dried = evidence.events.filter((e) => e.kind === 'dried' && e.status === 'counts');
	const common = {
		subject: { spoolId: evidence.spool.id },
		method: 'dryingLoss',
		source: 'mass before and after, chained as net masses; JCGM 100 for the scale',
		context: { ...EMPTY_CONTEXT, lots: evidence.spool.lot ? [evidence.spool.lot] : [] }
	};
	if (!first)
		return makeFinding(dryingLoss, {
			...common,
			inputs: { used: dried.map((e) => e.id), excluded: [], revision: evidence.spool.revision },
			sampling: { kind: 'unknown', reason: say(dried.length ? 'driedUnweighed' : 'notDried') },
			missing: [{ action: 'dryWeighed', station: 'drying', count: 1, minutes: DRYING_MINUTES, params: {} }]
		});
	const messages: Message[] = [
		say(first.seen ? 'driedLost' : 'driedNotSeen', { lostG: first.lostG, uG: first.uG, beforeG: first.beforeG, afterG: first.afterG }),
		...(first.cardPct > 0 ? [say('cardReel', { pct: first.cardPct })] : []),
		...(results.length > 1 ? [say('laterDryings', { count: results.length - 1 })] : [])
	];
	const surely = first.tareKnown && first.cardPct === 0;
	return makeFinding(dryingLoss, {
		...common,
		inputs: { used: [first.beforeId, first.afterId], excluded: [], revision: evidence.spool.revision },
		estimate: first.lostPct,
		// Two weighings, both of which the result rests on: a whole difference.
		n: 2,
		enough: 2,
		interval: { low: first.lowPct, high: first.highPct, level: 0.95, kind: surely ? 'confidence' : 'bounds' },
		sampling: surely
			? { kind: 't', mean: first.lostPct, standardError: first.standardUncertaintyPct, df: null }
			: { kind: 'bounds', low: first.lowPct, high: first.highPct },
		messages,
		figure: { kind: 'dot', points: results.map((r) => r.lostPct) }
	});
}
