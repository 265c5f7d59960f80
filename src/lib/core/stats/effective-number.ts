/** A plateau needs at least so many blocks to be seen. */
const LEAST_BLOCKS = 32;

/**
 * Independent readings a series of dependent ones is worth, by blocking: neighbours are averaged in pairs again and again; the variance of
 * the mean rises while blocks still depend on each other, and its highest value counts.
 * Source: Flyvbjerg & Petersen 1989, J. Chem. Phys. 91, 461-466.
 * @returns n for independent readings, less for dependent ones; n for a constant series
 * @example effectiveNumber(Float64Array.from(noise)) // about its length
 */
export function effectiveNumber(values: ArrayLike<number>): number {
	const n = values.length;
	if (n < 2) return n;
	let blocks = Float64Array.from(values);
	const plain = varianceOfMean(blocks);
	if (!(plain > 0)) return n;
	let highest = plain;
	while (blocks.length >= 2 * LEAST_BLOCKS) {
		const half = new Float64Array(blocks.length >> 1);
		for (let i = 0; i < half.length; i++) half[i] = ((blocks[2 * i] as number) + (blocks[2 * i + 1] as number)) / 2;
		blocks = half;
		highest = Math.max(highest, varianceOfMean(blocks));
	}
	return Math.max(1, Math.min(n, (n * plain) / highest));
}

function varianceOfMean(values: Float64Array): number {
	const n = values.length;
	let mean = 0;
	for (let i = 0; i < n; i++) mean += values[i] as number;
	mean /= n;
	let squares = 0;
	for (let i = 0; i < n; i++) squares += ((values[i] as number) - mean) ** 2;
	return squares / (n - 1) / n;
}

/**
 * Correlation of neighbours.
 * Source: NIST StRD univariate definition of the lag-1 coefficient.
 * @returns null for fewer than three values or no spread
 * @example lag1([1, 2, 3, 4, 5]) // 0.4
 */
export function lag1(values: ArrayLike<number>): number | null {
	const n = values.length;
	if (n < 3) return null;
	let mean = 0;
	for (let i = 0; i < n; i++) mean += values[i] as number;
	mean /= n;
	let [squares, products] = [0, 0];
	for (let i = 0; i < n; i++) {
		const d = (values[i] as number) - mean;
		squares += d * d;
		if (i > 0) products += d * ((values[i - 1] as number) - mean);
	}
	return squares > 0 ? products / squares : null;
}
