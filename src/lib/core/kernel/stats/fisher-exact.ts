/**
 * Fisher's exact test of two shares, two-sided: the chance of all tables with these margins that are no likelier than the one seen.
 * Source: Fisher 1934; Agresti, Categorical Data Analysis, 3rd ed., 3.5.1.
 * Errors: throws a RangeError for counts that are negative or not whole.
 * @param first successes and failures the first way, counts
 * @param second successes and failures the second way, counts
 * @returns p value, no unit, 0 to 1
 * @example fisherExact([3, 1], [1, 3]) // 0.485714
 */
export function fisherExact(first: readonly [number, number], second: readonly [number, number]): number {
	const [a, b, c, d] = [...first, ...second];
	if ([a, b, c, d].some((count) => !Number.isInteger(count) || count < 0))
		throw new RangeError(`fisherExact: ${[a, b, c, d].join(', ')} are not counts`);
	const [successes, firsts, all] = [a + c, a + b, a + b + c + d];
	const chance = (k: number) => Math.exp(logChoose(successes, k) + logChoose(all - successes, firsts - k) - logChoose(all, firsts));
	const seen = chance(a);
	let p = 0;
	for (let k = Math.max(0, firsts - (all - successes)); k <= Math.min(successes, firsts); k++) {
		const one = chance(k);
		// Tables as likely as the one seen differ from it by binary dust.
		if (one <= seen * (1 + 1e-9)) p += one;
	}
	return Math.min(1, p);
}

/** Logarithm of the ways to choose k of n; counts of prints are small, so it is a plain sum. */
function logChoose(n: number, k: number): number {
	let log = 0;
	for (let i = 1; i <= k; i++) log += Math.log((n - k + i) / i);
	return log;
}
