import { ANY_PIECE } from './carries';
import { markEntries } from './mark-entries';

/** What is looked at on a piece: a mark and, where it climbs, its steps from the easiest on. */
export type PieceMark = { mark: MarkId; steps: number[] | null };

/** Everything that can be looked at on a piece: what the marks of prints ask for, and specimens of strength. */
export const MARK_IDS = [
	...new Set([...markEntries().flatMap(({ carriedBy }) => (carriedBy === ANY_PIECE ? [] : [carriedBy])), 'strength' as const])
];
export type MarkId = (typeof MARK_IDS)[number];
