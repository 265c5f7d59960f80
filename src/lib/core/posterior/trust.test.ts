import { mean } from 'd3-array';
import { describe, expect, it } from 'vitest';
import { KINDS } from '../../../../tests/support/trust/kinds';
import type { CellPrior } from './prior';
import { Simulation } from '../../../../tests/support/trust/simulate';

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
