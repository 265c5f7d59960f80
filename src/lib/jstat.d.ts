/** The few functions of jStat that core uses; the package ships no types. */
declare module 'jstat' {
	interface Distribution1 {
		inv(p: number, a: number): number;
		cdf(x: number, a: number): number;
	}
	interface Distribution2 {
		inv(p: number, a: number, b: number): number;
		cdf(x: number, a: number, b: number): number;
	}
	interface DistributionCount {
		cdf(k: number, n: number, p: number): number;
	}
	const jStat: {
		gammaln(x: number): number;
		binomial: DistributionCount;
		studentt: Distribution1;
		beta: Distribution2;
		normal: Distribution2;
		chisquare: Distribution1;
		centralF: { cdf(x: number, df1: number, df2: number): number };
		/** Inverse of a square matrix. */
		inv(matrix: number[][]): number[][];
		erfc(x: number): number;
	};
	export default jStat;
}
