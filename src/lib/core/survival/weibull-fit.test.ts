import { logGamma } from '../stats/distributions';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../../tests/reference/weibull.json';
import { isHeld, oneValueFits, type Observation } from './observation';
import { weibullFit } from './weibull-fit';

const fitOf = (observations: Observation[]) => {
	const result = weibullFit(observations);
	if (!result.ok) throw new Error(result.reason);
	return result.fit;
};

describe(`Weibull by maximum likelihood, against survreg of R ${reference.versions.R}, survival ${reference.versions.survival}`, () => {
	it.each(reference.fits)('$name', (expected) => {
		const fit = fitOf(expected.observations);
		expect(fit.scale).toBeCloseTo(expected.scale, 3);
		expect(fit.shape).toBeCloseTo(expected.shape, 4);
		expect(fit.logLikelihood).toBeCloseTo(expected.logLikelihood, 6);
		expect(fit.mean).toBeCloseTo(expected.mean, 3);
		expect(fit.logMeanStandardError).toBeCloseTo(expected.logMeanStandardError, 4);
		expect(fit.standardErrors.logScale).toBeCloseTo(expected.seLogScale, 4);
		expect(fit.standardErrors.logInverseShape).toBeCloseTo(expected.seLogSigma, 4);
	});
});

describe('what a fit refuses to say', () => {
	it('fewer than two broke', () => {
		expect(
			weibullFit([
				{ low: 100, high: null },
				{ low: 90, high: 110 }
			])
		).toEqual({ ok: false, reason: 'tooFewBroke' });
		expect(weibullFit([])).toEqual({ ok: false, reason: 'tooFewBroke' });
	});
	it('one value explains all: no scatter to estimate', () => {
		expect(
			weibullFit([
				{ low: 100, high: 100 },
				{ low: 100, high: 100 }
			])
		).toEqual({ ok: false, reason: 'noScatter' });
		const alike = [1, 2, 3].map(() => ({ low: 89, high: 111 }));
		expect(oneValueFits(alike)).toBe(true);
		expect(weibullFit(alike).ok).toBe(false);
	});
	it('tells when one value would do', () => {
		expect(
			oneValueFits([
				{ low: 20, high: 25 },
				{ low: 25, high: 30 }
			])
		).toBe(false);
		expect(
			oneValueFits([
				{ low: 20, high: 25 },
				{ low: 22, high: null }
			])
		).toBe(true);
		expect(
			oneValueFits([
				{ low: 20, high: 25 },
				{ low: 25, high: 25 }
			])
		).toBe(true);
	});
});

const observation = fc
	.record({
		at: fc.integer({ min: 40, max: 200 }),
		width: fc.integer({ min: 0, max: 40 }),
		kind: fc.constantFrom('exact', 'steps', 'held')
	})
	.map(({ at, width, kind }): Observation => ({ low: at, high: kind === 'held' ? null : kind === 'exact' ? at : at + width + 1 }));

describe('properties', () => {
	it('loads in another unit give the same shape and a scale in that unit', () => {
		fc.assert(
			fc.property(fc.array(observation, { minLength: 3, maxLength: 12 }), (observations) => {
				const a = weibullFit(observations);
				const b = weibullFit(observations.map((o) => ({ low: o.low * 9.80665, high: o.high === null ? null : o.high * 9.80665 })));
				if (!a.ok || !b.ok || oneValueFits(observations)) return;
				expect(b.fit.shape / a.fit.shape).toBeCloseTo(1, 4);
				expect(b.fit.scale / a.fit.scale).toBeCloseTo(9.80665, 4);
			}),
			{ seed: 11 }
		);
	});
	it('the gradient is flat where it stops: no neighbour is likelier', () => {
		fc.assert(
			fc.property(fc.array(observation, { minLength: 4, maxLength: 10 }), (observations) => {
				const result = weibullFit(observations);
				if (!result.ok || oneValueFits(observations)) return;
				const { scale, shape, logLikelihood } = result.fit;
				expect(logLikelihood).toBeCloseTo(plainLogLikelihood(observations, scale, shape), 6);
				for (const [a, b] of [
					[1.002, 1],
					[0.998, 1],
					[1, 1.01],
					[1, 0.99]
				] as const)
					expect(plainLogLikelihood(observations, scale * a, shape * b)).toBeLessThanOrEqual(logLikelihood + 1e-9);
			}),
			{ seed: 12 }
		);
	});
	it('a specimen that held more never lowers the mean', () => {
		const broke = [
			{ low: 95, high: 95 },
			{ low: 104, high: 104 },
			{ low: 118, high: 118 }
		];
		const means = [80, 100, 130, 200].map((held) => fitOf([...broke, { low: held, high: null }]).mean);
		expect([...means].sort((a, b) => a - b)).toEqual(means);
		expect(means[0]).toBeGreaterThan(90);
	});
	it('the mean is that of the distribution', () => {
		const fit = fitOf([
			{ low: 95, high: 95 },
			{ low: 104, high: 104 },
			{ low: 118, high: 118 }
		]);
		expect(fit.mean).toBeCloseTo(fit.scale * Math.exp(logGamma(1 + 1 / fit.shape)), 9);
	});
});

/** The likelihood written out from the distribution itself. */
function plainLogLikelihood(observations: Observation[], scale: number, shape: number): number {
	const survives = (x: number) => Math.exp(-((x / scale) ** shape));
	return observations.reduce((sum, o) => {
		if (isHeld(o)) return sum + Math.log(survives(o.low));
		const high = o.high as number;
		if (o.low === high) return sum + Math.log((shape / scale) * (high / scale) ** (shape - 1) * survives(high));
		return sum + Math.log(survives(o.low) - survives(high));
	}, 0);
}
