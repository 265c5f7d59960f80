import { sum } from 'd3-array';
import { tQuantile } from '../stats/distributions';
import { say, type Message } from '../finding/message';
import type { Interval, Sampling } from '../finding/types';
import { meanInterval } from '../stats/mean-interval';
import { isExact, isHeld, type Observation } from '../survival/observation';
import { weibullFit } from '../survival/weibull-fit';

export type MeanStrength = {
	estimate: number | null;
	n: number;
	interval: Interval;
	sampling: Sampling;
	method: 'strengthMean' | 'strengthWeibull' | 'strengthBounds' | 'strengthHeld' | 'strengthBorrowed';
	messages: Message[];
	/** Standard deviation of the logarithm of single strengths, where there are repeats enough to tell. */
	logSd: number | null;
};

/** A single specimen may be off by this much either way (common practice, no source). */
const ONE_SPECIMEN = 0.3;

/**
 * Mean strength with its interval, from whatever the specimens said.
 * All broke at a known load: mean with t (ISO 2602). Steps or survivors among them: Weibull by maximum likelihood, the interval of the
 * mean by the delta method on its logarithm with t on the broken specimens less one (more careful than the normal law). One value
 * would explain them all: bounds. None broke: what they held at least. One specimen: bounds, or the scatter the house spool lends.
 * Source: ISO 2602; Meeker & Escobar 1998, ch. 8; ISO 20501 for Weibull strengths.
 * @param ceiling top of the scale, the upper bound where nothing broke
 * @param borrowedLogSd scatter of the logarithm borrowed from the house spool, with its degrees of freedom
 * @example meanStrength([{ low: 110, high: 110 }, { low: 118, high: 118 }], 400, null)?.estimate // 114
 */
export function meanStrength(
	observations: readonly Observation[],
	ceiling: number,
	borrowedLogSd: { sd: number; df: number; n: number; code: string } | null
): MeanStrength | null {
	const n = observations.length;
	const [first] = observations;
	if (!first) return null;
	const held = observations.filter(isHeld);
	const censored: Message[] = held.length ? [say('neverBroke', { held: held.length, n })] : [];
	const lows = observations.map((o) => o.low);
	const meanOf = (values: number[]) => sum(values) / values.length;
	if (held.length === n) {
		const low = meanOf(lows);
		return {
			estimate: null,
			n,
			...withBounds(low, Math.max(ceiling, 1.5 * low)),
			method: 'strengthHeld',
			messages: [say('allHeld', { n, low: Math.min(...lows) })],
			logSd: null
		};
	}
	if (n === 1) return single(first, borrowedLogSd);
	if (observations.every(isExact)) return allExact(lows);
	const fitted = weibullFit(observations);
	if (fitted.ok) {
		const { fit } = fitted;
		const broken = n - held.length;
		const half = tQuantile(0.975, Math.max(1, broken - 1)) * fit.logMeanStandardError;
		return {
			estimate: fit.mean,
			n,
			interval: { low: fit.mean * Math.exp(-half), high: fit.mean * Math.exp(half), level: 0.95, kind: 'confidence' },
			sampling: { kind: 't', mean: fit.mean, standardError: fit.mean * fit.logMeanStandardError, df: Math.max(1, broken - 1) },
			method: 'strengthWeibull',
			messages: [...censored, say('weibullFitted', { n, broken, shape: fit.shape, scale: fit.scale })],
			logSd: Math.PI / Math.sqrt(6) / fit.shape
		};
	}
	const low = meanOf(lows);
	const high = meanOf(observations.map((o) => o.high ?? Math.max(ceiling, 1.5 * o.low)));
	return {
		estimate: (low + high) / 2,
		n,
		...withBounds(low, high),
		method: 'strengthBounds',
		messages: [...censored, say('oneIntervalFits', { low, high })],
		logSd: null
	};
}

function withBounds(low: number, high: number): { interval: Interval; sampling: Sampling } {
	return { interval: { low, high, level: null, kind: 'bounds' }, sampling: { kind: 'bounds', low, high } };
}

function allExact(values: number[]): MeanStrength {
	const over = meanInterval(values);
	const estimate = over.mean as number;
	// Equal values: the scatter is not zero, it is under what the instrument shows. A hundredth stands in (common practice, no source).
	const standardError = Math.max(over.standardError ?? 0, (estimate * 0.01) / Math.sqrt(values.length));
	const half = tQuantile(0.975, over.df) * standardError;
	return {
		estimate,
		n: values.length,
		interval: { low: estimate - half, high: estimate + half, level: 0.95, kind: 'confidence' },
		sampling: { kind: 't', mean: estimate, standardError, df: over.df },
		method: 'strengthMean',
		messages: [],
		logSd: meanInterval(values.map(Math.log)).sd
	};
}

function single(one: Observation, borrowed: { sd: number; df: number; n: number; code: string } | null): MeanStrength {
	const high = one.high as number;
	const middle = isExact(one) ? high : (one.low + high) / 2;
	if (borrowed && borrowed.sd > 0) {
		// The width of a step counts beside the borrowed scatter, as a rectangular part.
		const logSd = Math.hypot(borrowed.sd, (high - one.low) / Math.sqrt(12) / middle);
		const half = tQuantile(0.975, borrowed.df) * logSd;
		return {
			estimate: middle,
			n: 1,
			interval: { low: middle * Math.exp(-half), high: middle * Math.exp(half), level: 0.95, kind: 'confidence' },
			sampling: { kind: 't', mean: middle, standardError: middle * logSd, df: borrowed.df },
			method: 'strengthBorrowed',
			messages: [say('borrowedScatter', { code: borrowed.code, n: borrowed.n })],
			logSd: null
		};
	}
	return {
		estimate: middle,
		n: 1,
		...withBounds(one.low * (1 - ONE_SPECIMEN), high * (1 + ONE_SPECIMEN)),
		method: 'strengthBounds',
		messages: [say('oneSpecimen', { pct: ONE_SPECIMEN * 100 })],
		logSd: null
	};
}
