import { nth } from '../../kernel/lists/nth';
import { sum } from 'd3-array';
import FFT from 'fft.js';

/** A regular coming and going of the diameter along the strand. */
export type Periodicity = {
	periodM: number;
	/** Half the difference between thick and thin. */
	amplitudeMm: number;
	/** Share of the variance that it makes. */
	share: number;
	/** Chance of a peak this high in noise alone. */
	p: number;
	/** Fewer than four samples a period: the true one may be shorter than the spacing. */
	aliased: boolean;
};

/** Rarer than once in a thousand logs of noise (common practice, no source). */
const SURE = 0.001;
/** A rhythm has to come around at least so often to be one. */
const LEAST_TURNS = 8;
/** Neighbouring frequencies that tell how high the spectrum is without the peak. */
const AROUND = 200;
/** ... and no farther than this factor of frequency, at least so many of them. */
const OCTAVES = 3;
const LEAST_AROUND = 8;
const ALIAS_SAMPLES = 4;
/** Longer series are averaged down first. */
const LONGEST = 2 ** 20;

/**
 * The strongest rhythm of an evenly spaced series: its straight trend is taken out, the highest peak of the periodogram is tested against
 * the spectrum around it (so that a spectrum that leans to long waves makes no rhythm of its own), and its period is refined between the
 * frequencies of the grid by least squares.
 * Source: Fisher 1929, Proc. R. Soc. A 125, 54-59, for the test of the highest peak; a local level instead of the overall one is common
 * practice, no source.
 * @param stepM spacing of the samples
 * @returns null where no peak stands out, or the series is too short or constant
 * @example findPeriodicity(values, 0.01)?.periodM // 1.83
 */
export function findPeriodicity(values: ArrayLike<number>, stepM: number): Periodicity | null {
	const per = Math.ceil(values.length / LONGEST);
	if (per > 1) return findPeriodicity(averaged(values, per), stepM * per);
	const n = values.length;
	if (n < 4 * LEAST_TURNS) return null;
	const flat = withoutTrend(values, n);
	const variance = sum(flat, (v) => v * v) / n;
	if (!(variance > 1e-18)) return null;
	const size = 2 ** Math.ceil(Math.log2(n));
	const power = periodogram(flat, size);
	// Frequencies of the padded grid that hold at least so many turns in the series.
	const lowest = Math.ceil((LEAST_TURNS * size) / n);
	let peak = lowest;
	for (let k = lowest; k < power.length; k++) if (nth(power, k) > nth(power, peak)) peak = k;
	const { level, count } = around(power, peak, Math.ceil(size / n));
	if (!(level > 0) || count < LEAST_AROUND) return null;
	// The level itself is estimated from few frequencies: the tail of F with 2 and 2 x count degrees of freedom instead of the exponential's.
	const p = Math.min(1, (n / 2) * (1 + nth(power, peak) / level / count) ** -count);
	if (p > SURE) return null;
	const refined = refine(flat, peak / size, 1 / size);
	const share = Math.min(1, refined.amplitude ** 2 / 2 / variance);
	return { periodM: stepM / refined.frequency, amplitudeMm: refined.amplitude, share, p, aliased: 1 / refined.frequency < ALIAS_SAMPLES };
}

function withoutTrend(values: ArrayLike<number>, n: number): Float64Array {
	let [sumY, sumXY] = [0, 0];
	const middle = (n - 1) / 2;
	for (let i = 0; i < n; i++) {
		sumY += nth(values, i);
		sumXY += (i - middle) * nth(values, i);
	}
	const mean = sumY / n;
	const slope = sumXY / ((n * (n * n - 1)) / 12);
	return Float64Array.from({ length: n }, (_, i) => nth(values, i) - mean - slope * (i - middle));
}

function periodogram(flat: Float64Array, size: number): Float64Array {
	const padded = new Float64Array(size);
	padded.set(flat);
	const transform = new FFT(size);
	const out = new Float64Array(2 * size);
	transform.realTransform(out, padded);
	return Float64Array.from({ length: size / 2 }, (_, k) => (nth(out, 2 * k) ** 2 + nth(out, 2 * k + 1) ** 2) / flat.length);
}

/** Level of the spectrum around a peak, from the median of its neighbours (exponential law), the peak's own width left out. */
function around(power: Float64Array, peak: number, oversampling: number): { level: number; count: number } {
	const own = 3 * oversampling;
	// Even on both sides in the logarithm, so that a spectrum that falls with frequency is met at its height.
	const from = Math.max(1, Math.ceil(peak / OCTAVES), peak - AROUND * oversampling);
	const to = Math.min(power.length - 1, peak * OCTAVES, peak + AROUND * oversampling);
	const near: number[] = [];
	for (let k = from; k <= to; k++) if (Math.abs(k - peak) > own) near.push(nth(power, k));
	near.sort((a, b) => a - b);
	return { level: (near[near.length >> 1] ?? 0) / Math.LN2, count: Math.floor(near.length / oversampling) };
}

/** Samples a period that are enough to place it; a long period in fine steps is averaged down to them first. */
const ENOUGH_A_PERIOD = 16;

/** The frequency whose sinusoid takes most out of the series, within one step of the grid, by golden section. */
function refine(flat: Float64Array, frequency: number, step: number): { frequency: number; amplitude: number } {
	const per = Math.max(1, Math.floor(1 / frequency / ENOUGH_A_PERIOD));
	const coarse = per === 1 ? flat : averaged(flat, per);
	const golden = (Math.sqrt(5) - 1) / 2;
	let [a, b] = [(frequency - step) * per, (frequency + step) * per];
	let [c, d] = [b - golden * (b - a), a + golden * (b - a)];
	let [fc, fd] = [amplitudeAt(coarse, c), amplitudeAt(coarse, d)];
	for (let i = 0; i < 24; i++) {
		if (fc > fd) {
			[b, d, fd] = [d, c, fc];
			c = b - golden * (b - a);
			fc = amplitudeAt(coarse, c);
		} else {
			[a, c, fc] = [c, d, fd];
			d = a + golden * (b - a);
			fd = amplitudeAt(coarse, d);
		}
	}
	const best = (a + b) / 2 / per;
	// Averaging over a part of the period flattens the wave by a known factor.
	const angle = Math.PI * best;
	const flattened = per === 1 ? 1 : Math.sin(angle * per) / (per * Math.sin(angle));
	return { frequency: best, amplitude: amplitudeAt(coarse, best * per) / flattened };
}

function averaged(values: ArrayLike<number>, per: number): Float64Array {
	return Float64Array.from({ length: Math.floor(values.length / per) }, (_, i) => {
		let sum = 0;
		for (let k = i * per; k < (i + 1) * per; k++) sum += nth(values, k);
		return sum / per;
	});
}

/** Amplitude of the sinusoid of a frequency (cycles a sample), by a rotation from sample to sample. */
function amplitudeAt(flat: Float64Array, frequency: number): number {
	const [turnC, turnS] = [Math.cos(2 * Math.PI * frequency), Math.sin(2 * Math.PI * frequency)];
	let [c, s] = [1, 0];
	let [re, im] = [0, 0];
	for (let i = 0; i < flat.length; i++) {
		const v = nth(flat, i);
		re += v * c;
		im += v * s;
		const next = c * turnC - s * turnS;
		s = c * turnS + s * turnC;
		c = next;
		// The rotation loses a little length with every turn; set right now and then.
		if ((i & 4095) === 4095) {
			const angle = 2 * Math.PI * frequency * (i + 1);
			[c, s] = [Math.cos(angle), Math.sin(angle)];
		}
	}
	return (2 * Math.hypot(re, im)) / flat.length;
}
