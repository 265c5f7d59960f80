import type { ConditionAt } from './condition';
import type { SpoolEvent } from '../evidence/event';

/**
 * What a spool had gone through at a moment, derived from its events: the last drying or exposure before it, else as received.
 * Excluded events do not count. An event at the very moment counts as before.
 * @example conditionAt([{ kind: 'dried', at: 100, ... }], 200) // { kind: 'dried', since: 100 }
 */
export function conditionAt(events: readonly SpoolEvent[], at: number): ConditionAt {
	let last: SpoolEvent | null = null;
	for (const event of events) {
		if (event.status === 'excluded' || event.at > at || (event.kind !== 'dried' && event.kind !== 'exposed')) continue;
		if (last === null || event.at >= last.at) last = event;
	}
	if (last === null) return { kind: 'asReceived', since: null };
	return { kind: last.kind === 'dried' ? 'dried' : 'exposed', since: last.at };
}
