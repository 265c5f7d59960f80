/** How the benchmarks measure, and how they say it. */

export const ms = (work: () => unknown): number => {
	const start = performance.now();
	work();
	return performance.now() - start;
};
export const msAsync = async (work: () => Promise<unknown>): Promise<number> => {
	const start = performance.now();
	await work();
	return performance.now() - start;
};
export const percentile = (values: number[], p: number): number =>
	[...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * p))] ?? 0;

/** The middle of some rounds: one alone tells of whatever else the machine was doing. */
export const middleMs = (work: () => unknown, rounds = 5): number =>
	percentile(
		Array.from({ length: rounds }, () => ms(work)),
		0.5
	);

export function line(what: string, measuredMs: number, limitMs: number | null, baseline: string, baselineMs: number): void {
	const limit = limitMs === null ? '' : `  (limit ${limitMs} ms: ${measuredMs <= limitMs ? 'kept' : 'MISSED'})`;
	console.log(
		`${what.padEnd(58)} ${measuredMs.toFixed(1).padStart(8)} ms  = ${(measuredMs / baselineMs).toFixed(1).padStart(7)} x ${baseline} (${baselineMs.toFixed(2)} ms)${limit}`
	);
}
