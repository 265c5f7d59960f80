import { describe, expect, it } from 'vitest';
import { KINDS } from '../../../../tests/support/trust/kinds';
import { Simulation } from '../../../../tests/support/trust/simulate';

/** A small part of `npm run bench:trust` (docs/trust.md): seeded, so the same counts every time; loose enough for another grid, not for another rule. */
const TRIALS = 150;

describe('ranges hold the truth as often as they say', () => {
	it.each(KINDS.map((kind, i) => [kind.name, kind, i] as const))('%s, two prints', (_, kind, i) => {
		const spread = kind.sd / Math.SQRT2;
		const full = new Simulation(kind, 700 + i);
		const learnt = full.coverage(2, spread, full.learnt(spread), TRIALS);
		const silent = new Simulation(kind, 800 + i).coverage(2, spread, kind.model.assumed, TRIALS);
		expect(learnt.covered / TRIALS).toBeGreaterThanOrEqual(0.9);
		expect(silent.covered / TRIALS).toBeGreaterThanOrEqual(0.93);
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
