import { sum } from 'd3-array';
import { mean } from 'simple-statistics';

export type NestedVariance = {
	/** Variance of readings within a spool, of spools within a lot, of lots; null where there is nothing to tell it from. */
	within: number | null;
	spools: number | null;
	lots: number | null;
	n: { readings: number; spools: number; lots: number };
};

/**
 * Variance components of readings in spools in lots, from unbalanced nested analysis of variance; a component that comes out below zero
 * is zero.
 * Source: Searle, Casella & McCulloch, Variance Components, 1992, ch. 3 (method of moments).
 * @param lots for each lot its spools, for each spool its readings
 * @example nestedVariance([[[1.75, 1.76], [1.74, 1.75]], [[1.77, 1.78]]]).n // { readings: 6, spools: 3, lots: 2 }
 */
export function nestedVariance(lots: readonly (readonly (readonly number[])[])[]): NestedVariance {
	const kept = lots.map((spools) => spools.filter((s) => s.length > 0)).filter((spools) => spools.length > 0);
	const spools = kept.flat();
	const all = spools.flat();
	const n = { readings: all.length, spools: spools.length, lots: kept.length };
	if (all.length === 0) return { within: null, spools: null, lots: null, n };
	const grand = mean(all);
	const ssWithin = sum(spools, (s) => squaresAround(s, mean([...s])));
	const ssSpools = sum(kept, (lot) => {
		const lotMean = mean(lot.flat());
		return sum(lot, (s) => s.length * (mean([...s]) - lotMean) ** 2);
	});
	const ssLots = sum(kept, (lot) => lot.flat().length * (mean(lot.flat()) - grand) ** 2);
	const df = { within: n.readings - n.spools, spools: n.spools - n.lots, lots: n.lots - 1 };
	const within = df.within > 0 ? ssWithin / df.within : null;
	// Coefficients of the expected mean squares with unequal sizes.
	const squared = (sizes: number[]) => sum(sizes, (size) => size * size);
	const perLot = sum(kept, (lot) => squared(lot.map((s) => s.length)) / lot.flat().length);
	const overall = squared(spools.map((s) => s.length)) / n.readings;
	const lotSizes = squared(kept.map((lot) => lot.flat().length)) / n.readings;
	const k1 = df.spools > 0 ? (n.readings - perLot) / df.spools : null;
	const between = within !== null && k1 !== null ? Math.max(0, (ssSpools / df.spools - within) / k1) : null;
	const k2 = (perLot - overall) / df.lots;
	const k3 = (n.readings - lotSizes) / df.lots;
	const ofLots = df.lots > 0 && within !== null && between !== null ? Math.max(0, (ssLots / df.lots - within - k2 * between) / k3) : null;
	return { within, spools: between, lots: ofLots, n };
}

const squaresAround = (values: readonly number[], centre: number) => sum(values, (v) => (v - centre) ** 2);
