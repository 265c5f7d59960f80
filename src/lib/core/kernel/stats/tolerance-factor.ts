import { sum } from 'd3-array';
import { remembering } from '../memo/remember';
import { chiSquareCdf, chiSquareQuantile, normalCdf, normalQuantile } from './distributions';

/** Panels of Simpson's rule over the deviate of the mean; with 60 the factor is right to six digits. */
const PANELS = 60;
/** Spools of a trial have like numbers of readings: each factor is worked out once. */
const remembered = remembering<string, number>(1000);

/**
 * Exact factor k of a two-sided normal tolerance interval: mean +/- k SD holds `coverage` of the population with `confidence`.
 * Solved by integrating over the mean's deviate the chance that the SD is large enough.
 * Source: ISO 16269-6:2014; NIST/SEMATECH e-Handbook 7.2.6.3 for the method.
 * Errors: throws a RangeError below two values or for shares outside (0, 1).
 * @returns factor on the standard deviation
 * @example toleranceFactor(10, 0.95, 0.95) // 3.3934
 */
export function toleranceFactor(n: number, coverage = 0.95, confidence = 0.95): number {
	if (!(n >= 2) || !(coverage > 0 && coverage < 1) || !(confidence > 0 && confidence < 1))
		throw new RangeError(`toleranceFactor: n ${n}, coverage ${coverage}, confidence ${confidence}`);
	return remembered(`${n} ${coverage} ${confidence}`, () => solve(n, coverage, confidence));
}

function solve(n: number, coverage: number, confidence: number): number {
	const df = n - 1;
	const widths = meanDeviates(n, coverage);
	const lacking = (k: number) => sum(widths, ({ weight, half }) => weight * (1 - chiSquareCdf((df * half ** 2) / k ** 2, df))) - confidence;
	// Howe's factor is within a few per cent: a secant from there settles in a few steps.
	let [a, b] = [howeFactor(n, coverage, confidence), howeFactor(n, coverage, confidence) * 1.02];
	let [fa, fb] = [lacking(a), lacking(b)];
	for (let i = 0; i < 30 && Math.abs(fb) > 1e-10 && fb !== fa; i++) {
		const next = b - (fb * (b - a)) / (fb - fa);
		[a, fa] = [b, fb];
		[b, fb] = [next, lacking(next)];
	}
	return b;
}

/**
 * Howe's approximation of the same factor, for comparison.
 * Source: Howe 1969, J. Am. Stat. Assoc. 64, 610-620.
 * @returns factor on the standard deviation
 * @example howeFactor(10, 0.95, 0.95) // 3.382
 */
export function howeFactor(n: number, coverage = 0.95, confidence = 0.95): number {
	const z = normalQuantile((1 + coverage) / 2);
	return z * Math.sqrt(((n - 1) * (1 + 1 / n)) / chiSquareQuantile(1 - confidence, n - 1));
}

/** For each deviate of the mean (in SDs of the population): its weight, and the half-width that holds the coverage around it. */
function meanDeviates(n: number, coverage: number): { weight: number; half: number }[] {
	const reach = 8 / Math.sqrt(n);
	const step = reach / PANELS;
	let half = normalQuantile((1 + coverage) / 2);
	return Array.from({ length: PANELS + 1 }, (_, i) => {
		const z = i * step;
		const simpson = i === 0 || i === PANELS ? 1 : i % 2 ? 4 : 2;
		// Twice, since the density is even.
		const weight = (2 * simpson * step * Math.sqrt(n) * Math.exp((-n * z * z) / 2)) / (3 * Math.sqrt(2 * Math.PI));
		half = halfWidth(z, coverage, half);
		return { weight, half };
	});
}

/** Half-width around z that holds the coverage, by Newton's method from a neighbour's. */
function halfWidth(z: number, coverage: number, start: number): number {
	let r = start;
	for (let i = 0; i < 20; i++) {
		const lacking = normalCdf(z + r) - normalCdf(z - r) - coverage;
		const density = (Math.exp(-((z + r) ** 2) / 2) + Math.exp(-((z - r) ** 2) / 2)) / Math.sqrt(2 * Math.PI);
		const step = lacking / density;
		r -= Math.max(-1, Math.min(1, step));
		if (Math.abs(step) < 1e-12) break;
	}
	return r;
}
