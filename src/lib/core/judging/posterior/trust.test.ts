import { mean } from 'd3-array';
import { describe, expect, it } from 'vitest';
import { CLAIM_INSTRUMENTS, claimFigures } from '../../../../../tests/support/trust/claims';
import { KINDS } from '../../../../../tests/support/trust/kinds';
import type { CellPrior } from './prior';
import { printFigures } from '../../../../../tests/support/trust/prints';
import { sharedFigures } from '../../../../../tests/support/trust/shared';
import { Simulation } from '../../../../../tests/support/trust/simulate';

/** A small part of `npm run bench:trust` (docs/trust.md): seeded, so the same counts every time; loose enough for another grid, not for another rule. */
const TRIALS = 40;
const RECORDS = 4;

describe('ranges hold the truth as often as they say', () => {
	it.each(KINDS.map((kind, i) => [kind.name, kind, i] as const))('%s, two prints', (_, kind, i) => {
		const spread = kind.sd / Math.SQRT2;
		const of = (seed: number, priorOf: (simulation: Simulation) => CellPrior) => {
			const simulation = new Simulation(kind, seed);
			// A record may mislead: figures are of several.
			const all = Array.from({ length: RECORDS }, () => simulation.coverage(2, spread, priorOf(simulation), TRIALS));
			return { share: mean(all, (c) => c.covered / c.trials) ?? 0, width: mean(all, (c) => c.width) ?? 0 };
		};
		const learnt = of(700 + i, (simulation) => simulation.learnt(spread));
		const silent = of(800 + i, () => kind.model.assumed);
		expect(learnt.share).toBeGreaterThanOrEqual(0.9);
		expect(silent.share).toBeGreaterThanOrEqual(0.93);
		// A record makes ranges narrower: that is what it is for.
		expect(learnt.width).toBeLessThan(silent.width);
	});
	it('six spools that are all alike are told apart in hardly any trial, and two equal prints are no certainty', () => {
		const [kind] = KINDS;
		if (!kind) throw new Error('no kind');
		const simulation = new Simulation(kind, 900);
		expect(simulation.falselyApart(6, 2, simulation.learnt(kind.sd), 60)).toBeLessThanOrEqual(4);
	});
});

describe('what is told of prints, claims and shared errors comes true', () => {
	it('the share that finishes and the cost of good prints lie within their ranges, three prints each, record full', () => {
		const { trials, success, cost } = printFigures(3, 'full', 300, 41, 25);
		expect(trials).toBeGreaterThan(290);
		expect(success / trials).toBeGreaterThanOrEqual(0.93);
		expect(cost / trials).toBeGreaterThanOrEqual(0.93);
	});
	it.each(CLAIM_INSTRUMENTS.map((of, i) => [of.name, of, i] as const))(
		'a claim just kept or just broken, looked at as it grows, %s: hardly ever decided wrongly',
		(_, of, i) => {
			const { kept, broken } = claimFigures(of, 0, 60, 51 + i);
			// Asked: 5 %; of 60 trials at that share more than 8 come in one of 200 only.
			expect(kept).toBeLessThanOrEqual(8);
			expect(broken).toBeLessThanOrEqual(8);
		}
	);
	it('an error that all share cancels: alike ones stay together, and the one that differs is found', () => {
		const { apart, found, foundAsOwn } = sharedFigures(200, 61);
		expect(apart).toBeLessThanOrEqual(18);
		expect(found).toBeGreaterThan(100);
		expect(foundAsOwn).toBe(0);
	});
});
