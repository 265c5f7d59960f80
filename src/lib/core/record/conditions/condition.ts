import type { ConditionKind } from '../lists/closed-lists';

/** `since`: when it last happened; null for a spool as it came. `hours`: how long it was soaked; `humidityPct`: how humid it was in the open. */
export type ConditionAt = { kind: ConditionKind; since: number | null; hours: number | null; humidityPct: number | null };
