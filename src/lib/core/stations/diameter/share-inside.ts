import { nth } from '../../kernel/lists/nth';
import { remembering } from '../../kernel/memo/remember';
import { chiSquareQuantile, normalCdf, normalQuantile } from '../../kernel/stats/distributions';

/** What the readings say of the strand, before the claim is asked. */
export type StrandEstimate = {
	/** Mean with known bias taken out. */
	meanMm: number;
	/** Spread of the readings; at least what the display can hide. */
	sdMm: number;
	/** Independent readings, a whole number of at least 2; Infinity for "as many as you like". */
	nEffective: number;
	/** Scatter the instrument adds to each reading: inflates the spread, averages out of the mean. */
	repeatabilityMm: number;
	/** Standard uncertainty common to all readings of the instrument: does not shrink with more of them. */
	commonMm: number;
};

/** Share of length between the limits: the most likely value, and its distribution as equally likely values in order. */
export type ShareInside = { estimate: number; ordered: Float64Array };

/** Midpoints of so many equally likely slices stand for the unknown spread and for the unknown mean. */
const SLICES = 32;

/**
 * Distribution of the share of length inside two limits (limits inclusive), given what is not known: the spread (chi-square, the
 * instrument's own scatter taken out), the mean (normal for a given spread) and the instrument's common error (normal).
 * With an instrument without error its lower 95 % bound reaches 95 % where the exact tolerance factor does.
 * Source: generalized confidence interval (Weerahandi 1993, J. Am. Stat. Assoc. 88, 899-905) for a normal population; JCGM 100
 * for the instrument; the deconvolution of the instrument's scatter is common practice, no source.
 * @example shareInside({ meanMm: 1.75, sdMm: 0.004, nEffective: 30, repeatabilityMm: 0.001, commonMm: 0.001 }, 1.73, 1.77).estimate // 1
 */
export function shareInside(strand: StrandEstimate, lowMm: number, highMm: number, count = SLICES): ShareInside {
	const { meanMm, sdMm, nEffective, repeatabilityMm, commonMm } = strand;
	const deviates = normalSlices(count);
	const spreads = Number.isFinite(nEffective) ? chiSlices(nEffective - 1, count) : [1];
	const ordered = new Float64Array(spreads.length * count);
	spreads.forEach((chi, i) => {
		const seenVariance = sdMm ** 2 / chi;
		const strandSd = Math.sqrt(Math.max(0, seenVariance - repeatabilityMm ** 2));
		const meanSd = Math.hypot(Math.sqrt(seenVariance / nEffective), commonMm);
		deviates.forEach((z, j) => {
			ordered[i * count + j] = between(meanMm + meanSd * z, strandSd, lowMm, highMm);
		});
	});
	ordered.sort();
	return { estimate: between(meanMm, Math.sqrt(Math.max(0, sdMm ** 2 - repeatabilityMm ** 2)), lowMm, highMm), ordered };
}

/**
 * The most of the length that may be inside, at a one-sided level. A strand whose middle may lie in the middle of the limits is taken to lie there,
 * with the least spread it may have: a mean that is not known for sure can otherwise only make the share smaller, and a strand just kept would
 * be called broken too often.
 * Source: chi-square bound of a spread (ISO 2854) with the mean where it is best; else the bound of `shareInside`. Held by simulation (docs/trust.md).
 * @param level one-sided, 0.5 to 1
 * @returns a share, 0 to 1
 * @example mostInside({ meanMm: 1.75, sdMm: 0.02, nEffective: 24, repeatabilityMm: 0, commonMm: 0 }, 1.73, 1.77, 0.99) // 0.82
 */
export function mostInside(strand: StrandEstimate, lowMm: number, highMm: number, level: number, count = SLICES): number {
	const { meanMm, sdMm, nEffective, repeatabilityMm, commonMm } = strand;
	const meanSd = Math.hypot(Number.isFinite(nEffective) ? sdMm / Math.sqrt(nEffective) : 0, commonMm);
	const middle = (lowMm + highMm) / 2;
	if (Math.abs(meanMm - middle) > normalQuantile(level) * meanSd) return boundOf(shareInside(strand, lowMm, highMm, count).ordered, level);
	const df = nEffective - 1;
	const least = Number.isFinite(df) ? (sdMm ** 2 * df) / chiSquareQuantile(level, df) : sdMm ** 2;
	return between(middle, Math.sqrt(Math.max(0, least - repeatabilityMm ** 2)), lowMm, highMm);
}

/**
 * One-sided bound of a distribution of equally likely values.
 * @param probability that the distribution stays below, 0 to 1
 * @returns in the unit of the values
 * @example boundOf(ordered, 0.05) // the value that 95 % of the distribution reach
 */
export function boundOf(ordered: ArrayLike<number>, probability: number): number {
	const place = probability * ordered.length - 0.5;
	const below = Math.min(Math.max(Math.floor(place), 0), ordered.length - 1);
	const above = Math.min(below + 1, ordered.length - 1);
	const part = Math.min(Math.max(place - below, 0), 1);
	return nth(ordered, below) * (1 - part) + nth(ordered, above) * part;
}

/** Share of a normal population between two limits; of a strand without spread, all or nothing. */
function between(mean: number, sd: number, low: number, high: number): number {
	// A tenth of a nanometre of grace: binary dust on a limit is not outside it.
	const dust = 1e-10;
	if (sd < 1e-9) return mean >= low - dust && mean <= high + dust ? 1 : 0;
	return normalCdf((high - mean) / sd) - normalCdf((low - mean) / sd);
}

/** Quantiles do not change, and spools of a trial have like numbers of readings: each set is worked out once. */
const remembered = remembering<string, readonly number[]>(1000);

const normalSlices = (count: number) => slices('z', 0, count, (p) => normalQuantile(p));
const chiSlices = (df: number, count: number) => slices('chi', df, count, (p) => chiSquareQuantile(p, df) / df);

function slices(law: string, df: number, count: number, inverse: (p: number) => number): readonly number[] {
	return remembered(`${law} ${df} ${count}`, () => Array.from({ length: count }, (_, i) => inverse((i + 0.5) / count)));
}
