import { sum } from 'd3-array';
import { logGamma } from '../stats/distributions';
import { isHeld, oneValueFits, type Observation } from './observation';
import { digamma } from '../stats/gamma';

type WeibullFit = {
	/** Characteristic strength: 63.2 % have broken. */
	scale: number;
	shape: number;
	logLikelihood: number;
	mean: number;
	/** Standard error of the logarithm of the mean. */
	logMeanStandardError: number;
	/** Standard errors of log scale and log(1/shape), as survival software prints them. */
	standardErrors: { logScale: number; logInverseShape: number };
};

export type WeibullResult = { ok: true; fit: WeibullFit } | { ok: false; reason: 'tooFewBroke' | 'noScatter' | 'notConverged' };

const MOST_STEPS = 200;
/** A scatter this small is a likelihood running away, not an estimate. */
const SMALLEST_SIGMA = 1e-4;

/**
 * Weibull distribution of strengths by maximum likelihood from exact, interval-, left- and right-censored observations: nothing is
 * thrown away. Works on the logarithm, where the law is that of the smallest extreme value with location mu = ln scale and
 * sigma = 1/shape; Newton's method on (mu, ln sigma) with halved steps.
 * Source: Lawless, Statistical Models and Methods for Lifetime Data, 2nd ed., ch. 5; Meeker & Escobar 1998, ch. 8; checked against
 * R's survival package (tests/reference/weibull.R).
 * Errors: a reason instead of a fit when fewer than two specimens broke, one value would fit them all, or the steps do not settle.
 * @example weibullFit([{ low: 89, high: 111 }, { low: 111, high: 133 }, { low: 111, high: null }])
 */
export function weibullFit(observations: readonly Observation[]): WeibullResult {
	if (observations.filter((o) => !isHeld(o)).length < 2) return { ok: false, reason: 'tooFewBroke' };
	if (oneValueFits(observations)) return { ok: false, reason: 'noScatter' };
	const logs = observations.map((o) => ({ low: Math.log(o.low), high: o.high === null ? Infinity : Math.log(o.high) }));
	let theta = startOf(logs);
	let value = logLikelihood(logs, theta);
	for (let step = 0; step < MOST_STEPS; step++) {
		const g = gradient(logs, theta);
		if (Math.hypot(...g) < 1e-9 * logs.length) return finish(logs, theta, value);
		const direction = newtonDirection(logs, theta, g);
		let length = 1;
		let next = moved(theta, direction, length);
		let better = logLikelihood(logs, next);
		while (!(better > value) && length > 1e-10) {
			length /= 2;
			next = moved(theta, direction, length);
			better = logLikelihood(logs, next);
		}
		if (Math.exp(next[1]) < SMALLEST_SIGMA) return { ok: false, reason: 'noScatter' };
		if (!(better > value)) return finish(logs, theta, value);
		theta = next;
		value = better;
	}
	return { ok: false, reason: 'notConverged' };
}

type Logs = readonly { low: number; high: number }[];
type Pair = [mu: number, logSigma: number];

const moved = (theta: Pair, by: Pair, length: number): Pair => [theta[0] + length * by[0], theta[1] + length * by[1]];

/** Middles of the observations give a first mean and spread (moments of the extreme-value law). */
function startOf(logs: Logs): Pair {
	const middles = logs.map((l) => (Number.isFinite(l.high) ? (Number.isFinite(l.low) ? (l.low + l.high) / 2 : l.high - 0.1) : l.low + 0.1));
	const mean = sum(middles) / middles.length;
	const sd = Math.sqrt(sum(middles, (m) => (m - mean) ** 2) / middles.length);
	const sigma = Math.max(sd, 0.02) * (Math.sqrt(6) / Math.PI);
	return [mean + 0.5772156649 * sigma, Math.log(sigma)];
}

/** Probability of an interval of the standard law, without loss where both ends survive nearly alike. */
const between = (zl: number, zu: number): number => Math.exp(-Math.exp(zl)) * -Math.expm1(Math.exp(zl) - Math.exp(zu));

function logLikelihood(logs: Logs, [mu, logSigma]: Pair): number {
	const sigma = Math.exp(logSigma);
	return logs.reduce((sum, { low, high }) => {
		const zl = (low - mu) / sigma;
		const zu = (high - mu) / sigma;
		if (low === high) return sum - logSigma - low + zl - Math.exp(zl);
		if (high === Infinity) return sum - Math.exp(zl);
		return sum + Math.log(between(zl, zu));
	}, 0);
}

function gradient(logs: Logs, [mu, logSigma]: Pair): Pair {
	const sigma = Math.exp(logSigma);
	let dMu = 0;
	let dLogSigma = 0;
	for (const { low, high } of logs) {
		const zl = (low - mu) / sigma;
		const zu = (high - mu) / sigma;
		if (low === high) {
			const dz = 1 - Math.exp(zl);
			dMu -= dz / sigma;
			dLogSigma -= dz * zl + 1;
			continue;
		}
		if (high === Infinity) {
			dMu += Math.exp(zl) / sigma;
			dLogSigma += Math.exp(zl) * zl;
			continue;
		}
		// Terms e^z S(z) of each end, over the probability between them.
		const p = between(zl, zu);
		const a = Number.isFinite(zl) ? Math.exp(zl - Math.exp(zl)) / p : 0;
		const b = Math.exp(zu - Math.exp(zu)) / p;
		dMu += (a - b) / sigma;
		dLogSigma += (Number.isFinite(zl) ? a * zl : 0) - b * zu;
	}
	return [dMu, dLogSigma];
}

/** Second derivatives by central differences of the exact gradient. */
function hessian(logs: Logs, theta: Pair): [number, number, number] {
	const h = 1e-5;
	const up = gradient(logs, [theta[0] + h, theta[1]]);
	const down = gradient(logs, [theta[0] - h, theta[1]]);
	const right = gradient(logs, [theta[0], theta[1] + h]);
	const left = gradient(logs, [theta[0], theta[1] - h]);
	return [(up[0] - down[0]) / (2 * h), (up[1] - down[1] + right[0] - left[0]) / (4 * h), (right[1] - left[1]) / (2 * h)];
}

/** Newton's direction where the likelihood is concave, else uphill. */
function newtonDirection(logs: Logs, theta: Pair, g: Pair): Pair {
	const [a, b, c] = hessian(logs, theta);
	const det = a * c - b * b;
	if (a < 0 && det > 0) return [-(c * g[0] - b * g[1]) / det, -(a * g[1] - b * g[0]) / det];
	const norm = Math.hypot(...g);
	return [(0.1 * g[0]) / norm, (0.1 * g[1]) / norm];
}

function finish(logs: Logs, theta: Pair, value: number): WeibullResult {
	const [a, b, c] = hessian(logs, theta);
	const det = a * c - b * b;
	if (!(a < 0 && det > 0)) return { ok: false, reason: 'notConverged' };
	// Minus the inverse of the Hessian is the covariance of (mu, ln sigma).
	const [vMu, vCross, vSigma] = [-c / det, b / det, -a / det];
	const [mu, logSigma] = theta;
	const sigma = Math.exp(logSigma);
	const slope = sigma * digamma(1 + sigma);
	return {
		ok: true,
		fit: {
			scale: Math.exp(mu),
			shape: 1 / sigma,
			logLikelihood: value,
			mean: Math.exp(mu + logGamma(1 + sigma)),
			logMeanStandardError: Math.sqrt(vMu + 2 * slope * vCross + slope * slope * vSigma),
			standardErrors: { logScale: Math.sqrt(vMu), logInverseShape: Math.sqrt(vSigma) }
		}
	};
}
