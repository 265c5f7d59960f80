import type { QuantityDef } from '../finding/types';
import { signTest } from '../stats/sign-test';
import { wilcoxonSignedRank } from '../stats/wilcoxon';

export type PairsVerdict = {
	better: number;
	worse: number;
	same: number;
	/** Exact two-sided sign test; null while there are too few pairs to say anything. */
	p: number | null;
	/** Exact signed rank test beside it, which counts how far they differ; null for marks in words and where the sign test is null. */
	rankP: number | null;
	outcome: 'helped' | 'hurt' | 'noDifference' | 'tooFew';
};

/** Under six untied pairs no p value of the sign test can be under 0.05. */
const LEAST_PAIRS = 6;

/**
 * What pairs say of two ways to print: better, worse, or no difference they can show. Ties are left out of both tests; the sign test
 * decides, since words have no distances.
 * Source: sign test (Conover); Wilcoxon 1945.
 * @param pairs value the first way and the second way
 * @example judgePairs([[60, 65], [55, 60]], overhang).outcome // 'tooFew'
 */
export function judgePairs(
	pairs: readonly (readonly [number, number])[],
	def: Pick<QuantityDef, 'direction' | 'target' | 'words'>
): PairsVerdict {
	const worth = (value: number) =>
		def.direction === 'nearest' ? -Math.abs(value - (def.target ?? 0)) : def.direction === 'more' ? value : -value;
	const gains = pairs.map(([first, second]) => worth(second) - worth(first));
	const better = gains.filter((g) => g > 0).length;
	const worse = gains.filter((g) => g < 0).length;
	const test = signTest(better, worse);
	const enough = test.pairs >= LEAST_PAIRS || (pairs.length >= LEAST_PAIRS && test.pairs === 0);
	const p = enough ? test.p : null;
	const parted = p !== null && p < 0.05;
	return {
		better,
		worse,
		same: pairs.length - better - worse,
		p,
		rankP: p === null || def.words ? null : (wilcoxonSignedRank(gains)?.p ?? null),
		outcome: !enough ? 'tooFew' : parted ? (better > worse ? 'helped' : 'hurt') : 'noDifference'
	};
}
