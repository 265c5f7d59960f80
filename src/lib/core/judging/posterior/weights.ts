import { sum } from 'd3-array';

/**
 * Logarithms of weights, known but for a constant, as weights that sum to 1.
 * @example weightsOf([0, Math.log(3)])[1] // 0.75
 */
export function weightsOf(logs: ArrayLike<number>): Float64Array {
	const weights = new Float64Array(logs.length);
	let most = -Infinity;
	for (let i = 0; i < weights.length; i++) most = Math.max(most, logs[i] as number);
	let total = 0;
	for (let i = 0; i < weights.length; i++) {
		weights[i] = Math.exp((logs[i] as number) - most);
		total += weights[i] as number;
	}
	for (let i = 0; i < weights.length; i++) weights[i] = (weights[i] as number) / total;
	return weights;
}

/**
 * Means over candidates, each weighed by how likely it makes a record. The likeliest alone is too often far too sure, and what is learnt
 * from it would be.
 * @param logs logarithm of the likelihood of each candidate, but for a constant
 * @example meanOver([1, 3], [0, Math.log(3)])((one) => one) // 2.5
 */
export function meanOver<T>(candidates: readonly T[], logs: readonly number[]): (of: (one: T) => number) => number {
	const weights = weightsOf(logs);
	return (of) => sum(candidates, (one, i) => of(one) * (weights[i] as number));
}
