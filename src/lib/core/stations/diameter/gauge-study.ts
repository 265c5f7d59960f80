import { nth } from '../../kernel/lists/nth';
import { sum } from 'd3-array';
import { chiSquareQuantile, fCdf } from '../../kernel/stats/distributions';
import { mean } from 'simple-statistics';

/** Readings of a crossed study: for each place, for each rater, the repeats. All cells hold the same number of at least two. */
export type CrossedReadings = readonly (readonly (readonly number[])[])[];

export type GaugeStudy = {
	/** Variances: of repeats, of raters, of raters with places, of places. */
	repeatability: number;
	raters: number;
	interaction: number;
	places: number;
	/** Whether the interaction was told from nothing (p at most 0.25); otherwise it is pooled into the repeatability. */
	interactionKept: boolean;
	interactionP: number;
	/** Standard deviation of the whole gauge: repeatability and raters together. */
	gaugeSd: number;
	/** 95 % confidence interval of it. */
	gaugeSdInterval: { low: number; high: number };
	totalSd: number;
	/** How many places, raters and repeats it was made of. */
	size: { places: number; raters: number; repeats: number };
	/** Share of the total spread that the gauge makes, in per cent of the standard deviation. */
	gaugePct: number;
};

/** Kept unless clearly nothing (AIAG's rule). */
const POOL_ABOVE_P = 0.25;
/** Variances below are binary dust of readings that are all alike. */
const DUST = 1e-16;

/**
 * Gauge study by the crossed analysis of variance: how much of the spread is the instrument's and its users'. Components below zero
 * are zero. The gauge's variance is a sum of positive parts of mean squares, so that its interval follows from their degrees of freedom.
 * Source: AIAG, Measurement Systems Analysis, 4th ed., ANOVA method (pooling at 0.25); interval by Satterthwaite 1946.
 * Errors: throws a RangeError unless there are at least two places, one rater and two repeats, equally many in each cell.
 * @example gaugeStudy([[[1.75, 1.75], [1.76, 1.75]], [[1.74, 1.74], [1.74, 1.75]]]).gaugePct // 61.6
 */
export function gaugeStudy(cells: CrossedReadings): GaugeStudy {
	const p = cells.length;
	const o = cells[0]?.length ?? 0;
	const r = cells[0]?.[0]?.length ?? 0;
	if (p < 2 || o < 1 || r < 2 || cells.some((row) => row.length !== o || row.some((c) => c.length !== r)))
		throw new RangeError('gaugeStudy: needs two places, one rater and two repeats or more, as many in every cell');
	const flat = cells.flat(2);
	const grand = mean(flat);
	const cellMeans = cells.map((row) => row.map((c) => mean([...c])));
	const placeMeans = cellMeans.map((row) => mean(row));
	const raterMeans = Array.from({ length: o }, (_, j) => mean(cellMeans.map((row) => nth(row, j))));
	const ssPlaces = o * r * sum(placeMeans.map((m) => (m - grand) ** 2));
	const ssRaters = p * r * sum(raterMeans.map((m) => (m - grand) ** 2));
	const ssCells = r * sum(cellMeans.flat().map((m) => (m - grand) ** 2));
	const ssError = sum(cells.flatMap((row, i) => row.flatMap((c, j) => c.map((v) => (v - (cellMeans[i]?.[j] as number)) ** 2))));
	const ssCross = Math.max(0, ssCells - ssPlaces - ssRaters);
	const df = { places: p - 1, raters: o - 1, cross: (p - 1) * (o - 1), error: p * o * (r - 1) };
	const msError = ssError / df.error;
	const msCross = df.cross > 0 ? ssCross / df.cross : 0;
	const interactionP = tailOfRatio(msCross, msError, df.cross, df.error);
	const interactionKept = interactionP <= POOL_ABOVE_P;
	const base = interactionKept ? msCross : (ssError + ssCross) / (df.error + df.cross);
	const repeatability = interactionKept ? msError : base;
	const interaction = interactionKept ? Math.max(0, (msCross - msError) / r) : 0;
	const raters = o > 1 ? Math.max(0, (ssRaters / df.raters - base) / (p * r)) : 0;
	const places = Math.max(0, (ssPlaces / df.places - base) / (o * r));
	const gauge = repeatability + raters + interaction;
	const total = gauge + places;
	// What the raters' mean square brings replaces a part of the rest's.
	const left = raters > 0 ? 1 / (p * r) : 0;
	const parts = [
		...(raters > 0 ? [{ variance: ssRaters / df.raters / (p * r), df: df.raters }] : []),
		...(interactionKept
			? [
					{ variance: msError * (1 - 1 / r), df: df.error },
					{ variance: msCross * (1 / r - left), df: df.cross }
				]
			: [{ variance: base * (1 - left), df: df.error + df.cross }])
	];
	return {
		repeatability,
		raters,
		interaction,
		places,
		interactionKept,
		interactionP,
		gaugeSd: Math.sqrt(gauge),
		gaugeSdInterval: sdInterval(parts),
		totalSd: Math.sqrt(total),
		size: { places: p, raters: o, repeats: r },
		gaugePct: total > 0 ? Math.sqrt(gauge / total) * 100 : 0
	};
}

/** Chance of so large a ratio of mean squares by luck; a coarse display may repeat itself exactly and leave nothing to divide by. */
function tailOfRatio(above: number, below: number, dfAbove: number, dfBelow: number): number {
	if (dfAbove === 0 || above < DUST) return 1;
	return below < DUST ? 0 : 1 - fCdf(above / below, dfAbove, dfBelow);
}

/** 95 % interval of the root of a sum of scaled mean squares (Satterthwaite). */
function sdInterval(parts: readonly { variance: number; df: number }[]): { low: number; high: number } {
	const variance = sum(parts, (part) => part.variance);
	if (variance < DUST) return { low: 0, high: 0 };
	const df = variance ** 2 / sum(parts, (part) => part.variance ** 2 / part.df);
	const at = (p: number) => Math.sqrt((variance * df) / chiSquareQuantile(p, df));
	return { low: at(0.975), high: at(0.025) };
}
