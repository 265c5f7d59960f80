import { MARKS } from './marks';

/** A mark as far as its order matters: of one print, by one scorer. */
export type OrderedMark = { id: string; quantity: string; value: number | null; takenAt: number };

/** What contradicts: the mark it stands at, and what it is held against. */
export type OrderFault = { id: string; quantity: string } & ({ code: 'alone' } | { code: 'notBeyond' | 'below'; than: number });

/** First and second quantity of every pair that has an order; a ladder's fault must lie beyond its clean step, a window may be one floor. */
const PAIRS = MARKS.flatMap((m) =>
	m.kind === 'ladder'
		? [{ first: m.lastClean, second: m.firstFaulty, equal: false }]
		: m.kind === 'window'
			? [{ first: m.from, second: m.to, equal: true }]
			: []
);

/**
 * What contradicts among the marks of one print by one scorer: a first faulty step at or before the last clean one, a faulty step with
 * no clean one, a window that ends below its start. A second look at the same print is a second pair: a faulty step is held against the
 * clean one that was taken last before it (after it, where none was before).
 * @param marks all that count, in any order
 * @returns faults at the later mark of a pair; empty where all is in order
 * Source: arithmetic.
 * @example orderFaults([
 *   { id: 'a', quantity: 'overhangLastClean', value: 70, takenAt: 1 },
 *   { id: 'b', quantity: 'overhangFirstFaulty', value: 60, takenAt: 2 }
 * ]) // [{ id: 'b', quantity: 'overhangFirstFaulty', code: 'notBeyond', than: 70 }]
 */
export function orderFaults(marks: readonly OrderedMark[]): OrderFault[] {
	const inOrder = [...marks].sort((a, b) => a.takenAt - b.takenAt || (a.id < b.id ? -1 : 1)).filter((m) => m.value !== null);
	return PAIRS.flatMap(({ first, second, equal }) => {
		const firsts = inOrder.filter((m) => m.quantity === first);
		return inOrder
			.filter((m) => m.quantity === second)
			.flatMap((m): OrderFault[] => {
				const than = (firsts.findLast((f) => f.takenAt <= m.takenAt) ?? firsts[0])?.value ?? null;
				const value = m.value as number;
				if (than === null) return equal ? [] : [{ id: m.id, quantity: second, code: 'alone' }];
				if (equal ? value >= than : value > than) return [];
				return [{ id: m.id, quantity: second, code: equal ? 'below' : 'notBeyond', than }];
			});
	});
}

/**
 * The other quantity of a pair that has an order; null for one that stands alone.
 * @example partnerOf('overhangFirstFaulty') // 'overhangLastClean'
 */
export function partnerOf(quantity: string): string | null {
	const pair = PAIRS.find((p) => p.first === quantity || p.second === quantity);
	return pair ? (pair.first === quantity ? pair.second : pair.first) : null;
}

/** The quantities whose order is looked at. @example hasOrder('overhangLastClean') // true */
export const hasOrder = (quantity: string): boolean => partnerOf(quantity) !== null;
