import { nth } from '../lists/nth';

/** A plateau needs at least so many blocks to be seen. */
const LEAST_BLOCKS = 32;

/**
 * Independent readings a series of dependent ones is worth, the fewer by two ways. Blocking: neighbours are averaged in pairs again and again; the variance of
 * the mean rises while blocks still depend on each other, and its highest value counts. Correlation: see `varianceByCorrelation`.
 * Source: Flyvbjerg & Petersen 1989, J. Chem. Phys. 91, 461-466; Geyer 1992, Stat. Sci. 7, 473-483.
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
		for (let i = 0; i < half.length; i++) half[i] = (nth(blocks, 2 * i) + nth(blocks, 2 * i + 1)) / 2;
		blocks = half;
		highest = Math.max(highest, varianceOfMean(blocks));
	}
	return Math.max(1, Math.min(n, (n * plain) / Math.max(highest, varianceByCorrelation(values))));
}

/** Blocks of this many neighbours and more are enough to see how long they repeat each other, and few enough to look at all lags. */
const MOST_BLOCKS = 2048;

/**
 * Variance of the mean by the time over which values repeat each other: pairs of neighbouring correlations are added up while they stay positive.
 * Blocking cannot see what lasts longer than a thirtieth of the series; this can.
 * Source: initial positive sequence, Geyer 1992, Stat. Sci. 7, 473-483.
 */
function varianceByCorrelation(values: ArrayLike<number>): number {
	const per = Math.ceil(values.length / MOST_BLOCKS);
	const blocks = Float64Array.from({ length: Math.floor(values.length / per) }, (_, b) => {
		let sum = 0;
		for (let i = 0; i < per; i++) sum += nth(values, b * per + i);
		return sum / per;
	});
	const count = blocks.length;
	const mean = blocks.reduce((sum, b) => sum + b, 0) / count;
	const covariance = (lag: number) => {
		let sum = 0;
		for (let i = lag; i < count; i++) sum += (nth(blocks, i) - mean) * (nth(blocks, i - lag) - mean);
		return sum / count;
	};
	let total = -covariance(0);
	for (let lag = 0; lag + 1 < count; lag += 2) {
		const pair = covariance(lag) + covariance(lag + 1);
		if (pair <= 0) break;
		total += 2 * pair;
	}
	return total / count;
}

function varianceOfMean(values: Float64Array): number {
	const n = values.length;
	let mean = 0;
	for (let i = 0; i < n; i++) mean += nth(values, i);
	mean /= n;
	let squares = 0;
	for (let i = 0; i < n; i++) squares += (nth(values, i) - mean) ** 2;
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
	for (let i = 0; i < n; i++) mean += nth(values, i);
	mean /= n;
	let [squares, products] = [0, 0];
	for (let i = 0; i < n; i++) {
		const d = nth(values, i) - mean;
		squares += d * d;
		if (i > 0) products += d * (nth(values, i - 1) - mean);
	}
	return squares > 0 ? products / squares : null;
}
