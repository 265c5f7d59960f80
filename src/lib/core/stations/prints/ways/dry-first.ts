import { WATER_SIGNS } from '../../../record/lists/closed-lists';
import { conditionOf } from '../../../record/conditions/condition-at';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { say, type Message } from '../../../judging/finding/message';
import type { Basis } from '../../../judging/trial/basis';
import { wetAndDry } from './wet-dry';

/**
 * Why a spool should be dried before it is used; empty where nothing says so. Signs of water in prints that were not dried, a mark that drying bettered in
 * every pair, a strand that was brittle out of the box.
 * Source: common practice, no source.
 * @example dryFirst(evidence, basis).map((m) => m.id) // ['dryFirst.signs']
 */
export function dryFirst(evidence: SpoolEvidence, basis: Pick<Basis, 'scorerEffects'>): Message[] {
	const undried = evidence.attempts.filter((a) => {
		const { kind } = conditionOf(evidence, a);
		return a.status === 'counts' && a.portionId === null && (kind === 'asReceived' || kind === 'exposed');
	});
	const signed = undried.filter((a) => a.signs.length > 0);
	const signs = WATER_SIGNS.filter((sign) => signed.some((a) => a.signs.includes(sign)));
	const bettered = wetAndDry(evidence, basis).filter((w) => w.better > 0 && w.worse === 0);
	const brittle = evidence.readings.some((r) => r.quantity === 'brittle' && r.status === 'counts');
	return [
		...(signed.length > 0 ? [say('dryFirst.signs', { prints: signed.length, n: undried.length, signs: signs.join(' ') })] : []),
		...bettered.map(({ quantity }) => say('dryFirst.pairs', { quantity })),
		...(brittle ? [say('dryFirst.brittle')] : [])
	];
}
