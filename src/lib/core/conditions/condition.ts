import type { ConditionKind } from '../finding/types';

export type ConditionAt = { kind: ConditionKind; since: number | null };
