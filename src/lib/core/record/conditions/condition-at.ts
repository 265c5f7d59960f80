import type { Attempt } from '../evidence/attempt';
import type { SpoolEvent } from '../evidence/event';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { ConditionAt } from './condition';

/** What tells the states of a spool: its events, and for how long it counts as dried once it lies in the open, h (null: until something is said). */
export type History = Pick<SpoolEvidence, 'events' | 'dryForH'>;

const AS_RECEIVED: ConditionAt = { kind: 'asReceived', since: null, hours: null, humidityPct: null };
const HOUR = 3_600_000;

/**
 * The state of a spool, or of a portion of it, at a moment: what happened to it last. Fed from a dryer that runs it is dried. After a drying it lies in
 * the open unless it was put away; once it has lain there longer than its material keeps dry, it counts as in the air since that drying. Excluded
 * events do not count; one at the very moment counts as before.
 * @param at moment, ms since 1970
 * @param portionId the event that cut the portion off; it shares what the spool went through until then
 * @returns the state; `since` in ms since 1970
 * @example conditionAt({ events: [], dryForH: null }, 200).kind // 'asReceived'
 */
export function conditionAt({ events, dryForH }: History, at: number, portionId: string | null = null): ConditionAt {
	const past = historyOf(events, portionId).filter((e) => e.status !== 'excluded' && beginOf(e) <= at);
	const last = past.findLastIndex((e) => CHANGES.includes(e.kind));
	const event = past[last];
	if (!event) return AS_RECEIVED;
	if (event.kind === 'exposed' || event.kind === 'soaked')
		return { kind: event.kind, since: event.at, hours: event.hours, humidityPct: event.humidityPct };
	const isRunning = event.kind === 'drying' || event.at > at;
	const since = isRunning ? beginOf(event) : event.at;
	// It lies in the open from the end of its drying until it is put away, or until now.
	const until = past.slice(last + 1).find((e) => e.kind === 'stored')?.at ?? at;
	const isOpenTooLong = !isRunning && dryForH !== null && until - event.at > dryForH * HOUR;
	return { ...AS_RECEIVED, kind: isOpenTooLong ? 'exposed' : 'dried', since };
}

/** What changes the state of a spool; put away, it only keeps the one it has. */
const CHANGES: readonly SpoolEvent['kind'][] = ['dried', 'drying', 'exposed', 'soaked'];

/**
 * The state in which something was printed: what the history of its spool says, unless it was put right for this print. Since when is known only where
 * the history says the same.
 * @example conditionOf(evidence, evidence.attempts[0]).kind // 'asReceived'
 */
export function conditionOf(history: History, { at, portionId, condition }: Pick<Attempt, 'at' | 'portionId' | 'condition'>): ConditionAt {
	const told = conditionAt(history, at, portionId);
	return condition === null || condition === told.kind ? told : { ...AS_RECEIVED, kind: condition };
}

/** When an event began to matter: a drying with its start, since what is printed from the dryer is dried. */
const beginOf = (event: SpoolEvent): number => event.drying?.startedAt ?? event.at;

/** What a portion went through: the spool's history until it was cut off, then its own. Oldest first. */
function historyOf(events: readonly SpoolEvent[], portionId: string | null): SpoolEvent[] {
	const cut = portionId === null ? null : (events.find((e) => e.id === portionId)?.at ?? null);
	return events
		.filter((e) => (e.portionId === null ? cut === null || e.at <= cut : e.portionId === portionId))
		.sort((a, b) => a.at - b.at || beginOf(a) - beginOf(b));
}
