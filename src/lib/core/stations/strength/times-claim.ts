import type { Finding } from '../../judging/finding/types';

/** A maker's "so many times as strong", beside what was loaded here. */
export type TimesClaim = {
	stated: number;
	/** The kind of test part both were loaded as. */
	variant: string;
	/** How many times the other's load it bears, with its 95 % range; no unit. */
	ratio: number;
	low: number;
	high: number;
	/** Test parts of this spool and of the other. */
	n: number;
	nOther: number;
	outcome: 'kept' | 'broken' | 'open';
};

/** What a maker says of strength, the code of the house spool, and what it comes to beside that; null where the two were not loaded alike. */
export type TimesTold = { stated: number; house: string | null; judged: TimesClaim | null };

/**
 * What a maker's "n times as strong" comes to beside another spool: the ratio of two loads on test parts of one kind. Kept where the whole range is at
 * least what is stated, broken where all of it is less.
 * Source: error of a ratio in logarithms (JCGM 100, 5.1.6), each load's from its 95 % range; a house rule for kept and broken.
 * @param stated no unit
 * @param own loads of this spool, one finding a kind of test part
 * @param other loads of the spool it is held against
 * @returns null where no kind of test part was loaded of both
 * @example timesClaim(3, ownLoads, houseLoads)?.outcome // 'broken'
 */
export function timesClaim(stated: number, own: readonly Finding[], other: readonly Finding[]): TimesClaim | null {
	const pairs = own.flatMap((a) => {
		const b = other.find((f) => f.subject.variant === a.subject.variant);
		const [first, second] = [logOf(a), b ? logOf(b) : null];
		return b && first && second ? [{ a, b, first, second }] : [];
	});
	// The kind with the most parts tells most.
	const [pair] = pairs.sort((x, y) => Math.min(y.a.n, y.b.n) - Math.min(x.a.n, x.b.n));
	if (!pair) return null;
	const middle = pair.first.mean - pair.second.mean;
	const half = Z_95 * Math.hypot(pair.first.sd, pair.second.sd);
	const [low, high] = [Math.exp(middle - half), Math.exp(middle + half)];
	return {
		stated,
		variant: pair.a.subject.variant ?? '',
		ratio: Math.exp(middle),
		low,
		high,
		n: pair.a.n,
		nOther: pair.b.n,
		outcome: low >= stated ? 'kept' : high < stated ? 'broken' : 'open'
	};
}

const Z_95 = 1.959964;

/** A load in logarithms, its error from its range; null where there is none. */
function logOf({ estimate, interval, n }: Finding): { mean: number; sd: number } | null {
	if (n === 0 || estimate === null || estimate <= 0 || !interval || interval.low <= 0) return null;
	return { mean: Math.log(estimate), sd: Math.log(interval.high / interval.low) / (2 * Z_95) };
}
