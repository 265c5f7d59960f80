import { describe, expect, it } from 'vitest';
import { markQuantity } from '../../stations/prints/marks/marks';
import { expectedOf, findCell } from './find-cell';
import { modelOf } from './model';

const model = modelOf(markQuantity('overhang'), 'plain');
const prior = model.assumed;
const observed = [{ low: 62.5, high: 67.5 }];

describe('what was found of a cell before', () => {
	it('is given again only for the same observations, priors and model', () => {
		const first = findCell(observed, model, prior);
		const narrow = { ...prior, scatter: { ...prior.scatter, sd: prior.scatter.sd / 4 } };
		const width = (found: ReturnType<typeof findCell>) => (found?.interval.high ?? 0) - (found?.interval.low ?? 0);
		expect(width(findCell(observed, model, narrow))).toBeLessThan(0.9 * width(first));
		expect(findCell([{ low: 52.5, high: 57.5 }], model, prior)?.estimate).toBeLessThan((first?.estimate ?? 0) - 3);
		const floored = findCell(observed, { ...model, floor: 66 }, prior);
		expect(floored?.sampling.kind === 'quantiles' && Math.min(...floored.sampling.values)).toBe(66);
		expect(findCell(observed, model, prior)).toEqual(first);
		expect(expectedOf(model, narrow)).not.toEqual(expectedOf(model, { ...prior, mean: { ...prior.mean, spread: prior.mean.spread / 4 } }));
	});
});
