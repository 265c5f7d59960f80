import { group } from 'd3-array';

/** Rows by key, in the order they came. */
export function groupBy<T, K>(rows: Iterable<T>, key: (row: T) => K): Map<K, T[]> {
	return group(rows, key);
}
