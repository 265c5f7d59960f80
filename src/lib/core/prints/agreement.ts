import type { SpoolEvidence } from '../evidence';
import type { QuantityDef } from '../finding/types';
import { weightedKappa, type Kappa } from '../stats/kappa';
import { meanInterval } from '../stats/mean-interval';
import { MARKS, type MarkDef } from './marks';

/** How two scorers of the same prints agree on one mark. */
export type Agreement = {
	def: QuantityDef;
	scorers: [string, string];
	/** Prints both have scored. */
	n: number;
	/** For marks in words; null for measured ones, or where there is nothing to agree on. */
	kappa: Kappa | null;
	/** The second scorer's mark less the first's, on average: who is the milder. Its interval is null for one print. */
	difference: { mean: number; low: number | null; high: number | null };
};

/**
 * How the scorers of some spools agree, mark by mark and two by two: kappa with quadratic weights for words, the mean difference for all.
 * Marks of nobody in particular are left aside.
 * Source: Cohen 1968 for kappa; ISO 2602 for the difference.
 * @example agreements(spools)[0].kappa?.kappa // 0.77
 */
export function agreements(spools: readonly SpoolEvidence[]): Agreement[] {
	return MARKS.flatMap((mark) => {
		const byPrint = scorings(spools, mark);
		const names = [...new Set([...byPrint.values()].flatMap((by) => [...by.keys()]))].sort();
		return names.flatMap((first, i) =>
			names.slice(i + 1).flatMap((second): Agreement[] => {
				const pairs = [...byPrint.values()].flatMap((by): [number, number][] => {
					const [a, b] = [by.get(first), by.get(second)];
					return a === undefined || b === undefined ? [] : [[a, b]];
				});
				if (pairs.length === 0) return [];
				const over = meanInterval(pairs.map(([a, b]) => b - a));
				const kappa = mark.kind === 'words' ? weightedKappa(pairs, mark.def.words?.length ?? 0) : null;
				const difference = { mean: over.mean ?? 0, low: over.low, high: over.high };
				return [{ def: mark.def, scorers: [first, second], n: pairs.length, kappa, difference }];
			})
		);
	});
}

/** For each print what each named scorer said; of several faults the worst. */
function scorings(spools: readonly SpoolEvidence[], mark: MarkDef): Map<string, Map<string, number>> {
	const readings = mark.kind === 'ladder' ? [mark.lastClean] : mark.kind === 'words' ? mark.readings : [mark.reading];
	const byPrint = new Map<string, Map<string, number>>();
	for (const { readings: all } of spools)
		for (const r of all) {
			if (r.attemptId === null || r.scorer === null || r.value === null || r.status !== 'counts' || !readings.includes(r.quantity))
				continue;
			const by = byPrint.get(r.attemptId) ?? new Map<string, number>();
			by.set(r.scorer, mark.kind === 'words' ? Math.max(r.value, by.get(r.scorer) ?? 0) : r.value);
			byPrint.set(r.attemptId, by);
		}
	return byPrint;
}
