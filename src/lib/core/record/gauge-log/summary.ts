import { nth } from '../../kernel/lists/nth';
import { effectiveNumber, lag1 } from '../../kernel/stats/effective-number';
import { spreadOf } from '../../kernel/stats/spread';
import { findThickSpots, type ThickSpots } from './thick-spots';
import { envelope, type Envelope } from './envelope';
import { diameterAt, positionAt, type GaugeLog } from './gauge-log';
import { runsWithout, withoutRanges, type SampleRange } from './left-out';
import { findPeriodicity, type Periodicity } from './periodicity';
import { worstMetre } from './worst-metre';

/** What a log says, small enough to travel: everything the findings of the station need of it. */
export type LogSummary = {
	n: number;
	nEffective: number;
	lag1: number | null;
	meanMm: number;
	sdMm: number | null;
	lowMm: number;
	highMm: number;
	fromM: number;
	toM: number;
	/** Mean difference of the two axes; null for one. */
	ovalityMm: { estimate: number; sd: number } | null;
	/** Slope in mm a metre with its standard error over the effective number. */
	drift: { slope: number; standardError: number } | null;
	/** Counts of the samples' diameters in bins of equal width from a start on. */
	histogram: { startMm: number; binMm: number; counts: number[] };
	periodicity: Periodicity | null;
	thickSpots: ThickSpots;
	worstMetre: { fromM: number; rmsMm: number; samples: number } | null;
	/** Of the whole log: what is left out stays to be seen. */
	picture: Envelope;
	/** Parts that do not count. */
	leftOut: { fromM: number; toM: number }[];
};

/** Finest bin: half a micrometre, finer than gauges show. */
const FINEST_BIN_MM = 0.0005;
const MOST_BINS = 4000;
const PICTURE_COLUMNS = 600;
/** Thickenings are listed from this much over nominal on (common practice, no source). */
const BUMP_OVER_MM = 0.05;

/**
 * Works out a log once; the record stays what it was. For a strand of two axes the mean of both counts as its diameter.
 * Errors: throws a RangeError for an empty log, or one of which all is left out.
 * @param nominalMm diameter the profile assumes
 * @param leftOut ranges of samples that do not count
 * @example summarise(log, 1.75).periodicity?.periodM // 1.83
 */
export function summarise(log: GaugeLog, nominalMm: number, leftOut: readonly SampleRange[] = []): LogSummary {
	const steps = summarySteps(log, nominalMm, leftOut);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
	}
}

/**
 * The same in steps, so that a server can answer others between them.
 * @example summarySteps(log, 1.75).next().done // false: after each step the server answers others
 */
export function* summarySteps(whole: GaugeLog, nominalMm: number, leftOut: readonly SampleRange[] = []): Generator<undefined, LogSummary> {
	const log = withoutRanges(whole, leftOut);
	if (!log) throw new RangeError('summarise: all of it is left out');
	const n = log.along.length;
	const diameters = log.across ? Float64Array.from({ length: n }, (_, i) => diameterAt(log, i)) : log.along;
	const over = spreadOf(diameters);
	if (!over) throw new RangeError('summarise: an empty log');
	yield;
	const nEffective = Math.floor(effectiveNumber(diameters));
	const neighbours = lag1(diameters);
	yield;
	const [fromM, toM] = [positionAt(log.position, 0), positionAt(log.position, n - 1)];
	const ovalityMm = ovalityOf(log);
	const drift = driftOf(log, diameters, over.mean, nEffective);
	yield;
	const histogram = histogramOf(diameters, over.low, over.high);
	const thickSpots = findThickSpots(log, nominalMm + BUMP_OVER_MM);
	yield;
	const worst = worstMetre(log, nominalMm);
	const last = whole.along.length - 1;
	const picture = envelope(whole, positionAt(whole.position, 0), positionAt(whole.position, last), PICTURE_COLUMNS);
	yield;
	const periodicity = periodicityOf(whole, leftOut);
	return {
		n,
		nEffective,
		lag1: neighbours,
		meanMm: over.mean,
		sdMm: over.sd,
		lowMm: over.low,
		highMm: over.high,
		fromM,
		toM,
		ovalityMm,
		drift,
		histogram,
		periodicity,
		thickSpots,
		worstMetre: worst,
		picture,
		leftOut: leftOut.map(({ from, to }) => ({
			fromM: positionAt(whole.position, from),
			toM: positionAt(whole.position, Math.min(to, last))
		}))
	};
}

/** A rhythm needs even steps: it is sought in the longest part that nothing was taken out of. */
function periodicityOf(whole: GaugeLog, leftOut: readonly SampleRange[]): Periodicity | null {
	if (whole.position.kind !== 'even') return null;
	const [longest] = runsWithout(whole.along.length, leftOut).sort((a, b) => b.to - b.from - (a.to - a.from));
	if (!longest) return null;
	const { from, to } = longest;
	return findPeriodicity(
		Float64Array.from({ length: to - from + 1 }, (_, i) => diameterAt(whole, from + i)),
		whole.position.stepM
	);
}

function ovalityOf(log: GaugeLog): LogSummary['ovalityMm'] {
	const { along, across } = log;
	if (!across) return null;
	const over = spreadOf(Float64Array.from({ length: along.length }, (_, i) => Math.abs(nth(along, i) - nth(across, i))));
	return over && { estimate: over.mean, sd: over.sd ?? 0 };
}

function driftOf(log: GaugeLog, diameters: Float64Array, mean: number, nEffective: number): LogSummary['drift'] {
	const n = diameters.length;
	if (nEffective < 3) return null;
	let meanX = 0;
	for (let i = 0; i < n; i++) meanX += positionAt(log.position, i) / n;
	let [sxx, sxy, syy] = [0, 0, 0];
	for (let i = 0; i < n; i++) {
		const dx = positionAt(log.position, i) - meanX;
		const dy = nth(diameters, i) - mean;
		sxx += dx * dx;
		sxy += dx * dy;
		syy += dy * dy;
	}
	if (!(sxx > 0)) return null;
	const slope = sxy / sxx;
	const rest = Math.max(0, syy - slope * sxy) / n;
	// As if only the effective number of readings had been taken, spread as the samples are.
	return { slope, standardError: Math.sqrt(rest / ((sxx / n) * (nEffective - 2))) };
}

function histogramOf(values: Float64Array, low: number, high: number): LogSummary['histogram'] {
	const binMm = Math.max(FINEST_BIN_MM, Math.ceil((high - low) / MOST_BINS / FINEST_BIN_MM) * FINEST_BIN_MM);
	// Bins are centred on whole multiples, so that a reading on a limit falls into the limit's own bin.
	const first = Math.round(low / binMm);
	const counts = Array.from({ length: Math.round(high / binMm) - first + 1 }, () => 0);
	for (let i = 0; i < values.length; i++) {
		const bin = Math.round(nth(values, i) / binMm) - first;
		counts[bin] = (counts[bin] ?? 0) + 1;
	}
	return { startMm: first * binMm, binMm, counts };
}
