import { nth } from '../../../kernel/lists/nth';
import type { QuantityDef } from '../../../judging/finding/types';
import { holm } from '../../../kernel/stats/holm';
import { signTest } from '../../../kernel/stats/sign-test';
import { wilcoxonSignedRank } from '../../../kernel/stats/wilcoxon';

export type PairsVerdict = {
	better: number;
	worse: number;
	same: number;
	/** Exact two-sided sign test, corrected for the number of marks that are tested with it; null while there are too few pairs to say anything. */
	p: number | null;
	/** Exact signed rank test beside it, which counts how far they differ; null for marks in words and where the sign test is null. */
	rankP: number | null;
	outcome: 'helped' | 'hurt' | 'noDifference' | 'tooFew';
};

/** Under six untied pairs no p value of the sign test can be under 0.05. */
const LEAST_PAIRS = 6;

/** Pairs of one mark: its value the first way and the second way. */
type MarkPairs = {
	pairs: readonly (readonly [number, number])[];
	def: Pick<QuantityDef, 'direction' | 'target' | 'words'>;
};

/**
 * What pairs say of two ways to print, mark by mark: better, worse, or no difference they can show. Ties are left out of both tests; the sign test
 * decides, since words have no distances. Of many marks one would differ by luck: all that are tested are corrected together.
 * Source: sign test (Conover); Wilcoxon 1945; Holm 1979.
 * @example judgePairs([{ pairs: [[60, 65], [55, 60]], def: overhang }])[0]?.outcome // 'tooFew'
 */
export function judgePairs(marks: readonly MarkPairs[]): PairsVerdict[] {
	const counted = marks.map(countPairs);
	const tested = counted.filter((c) => c.p !== null);
	const [signs, ranks] = [correct(tested, (c) => c.p), correct(tested, (c) => c.rankP)];
	return counted.map((c) => {
		const p = signs.get(c) ?? null;
		return { ...c, p, rankP: ranks.get(c) ?? null, outcome: outcomeOf({ ...c, p }) };
	});
}

function outcomeOf({ better, worse, same, p }: Counted): PairsVerdict['outcome'] {
	// Pairs that are all alike show no difference, though there is nothing to test.
	if (p === null) return better + worse === 0 && same >= LEAST_PAIRS ? 'noDifference' : 'tooFew';
	if (p >= 0.05) return 'noDifference';
	return better > worse ? 'helped' : 'hurt';
}

type Counted = Omit<PairsVerdict, 'outcome'>;

function correct(tested: readonly Counted[], pOf: (c: Counted) => number | null): Map<Counted, number> {
	const known = tested.filter((c) => pOf(c) !== null);
	const corrected = holm(known.map((c) => pOf(c) as number));
	return new Map(known.map((c, i) => [c, nth(corrected, i)]));
}

function countPairs({ pairs, def }: MarkPairs): Counted {
	const worth = (value: number) =>
		def.direction === 'nearest' ? -Math.abs(value - (def.target ?? 0)) : def.direction === 'more' ? value : -value;
	const gains = pairs.map(([first, second]) => worth(second) - worth(first));
	const better = gains.filter((g) => g > 0).length;
	const worse = gains.filter((g) => g < 0).length;
	const test = signTest(better, worse);
	const p = test.pairs >= LEAST_PAIRS ? test.p : null;
	return {
		better,
		worse,
		same: pairs.length - better - worse,
		p,
		rankP: p === null || def.words ? null : (wilcoxonSignedRank(gains)?.p ?? null)
	};
}
