import { randomNormal } from 'd3-random';
import { toldApart } from '../../../src/lib/core/judging/compare/apart';
import { markQuantity } from '../../../src/lib/core/stations/prints/marks/marks';
import { randomSource } from '../../../src/lib/core/kernel/random/source';

const SPOOLS = 6;
const OWN = 2;
const SHARED = 6;

/**
 * Six spools that are all alike, measured with one instrument whose error is three times their own: in how many trials some pair is told apart, and in how
 * many a seventh that differs by six own errors is told from all of them. Told once as a shared error, once as if it were each one's own.
 */
export function sharedFigures(trials: number, seed: number): { apart: number; found: number; foundAsOwn: number } {
	const normal = randomNormal.source(randomSource(seed))(0, 1);
	const def = markQuantity('overhang');
	const pairs = ((SPOOLS + 1) * SPOOLS) / 2;
	const figures = { apart: 0, found: 0, foundAsOwn: 0 };
	for (let t = 0; t < trials; t++) {
		const common = SHARED * normal();
		const told = (truth: number, shared: boolean) => {
			const mean = truth + common + OWN * normal();
			return {
				sampling: { kind: 't' as const, mean, standardError: shared ? OWN : Math.hypot(OWN, SHARED), df: null },
				shared: shared ? [{ source: 'one instrument', sd: SHARED }] : []
			};
		};
		const alike = Array.from({ length: SPOOLS }, () => told(60, true));
		if (alike.some((a, i) => alike.slice(i + 1).some((b) => toldApart(a, b, def, pairs)))) figures.apart++;
		const better = told(60 + 6 * OWN, true);
		if (alike.every((a) => toldApart(a, better, def, pairs))) figures.found++;
		const own = { sampling: { ...better.sampling, standardError: Math.hypot(OWN, SHARED) }, shared: [] };
		if (alike.every((a) => toldApart({ sampling: { ...a.sampling, standardError: Math.hypot(OWN, SHARED) }, shared: [] }, own, def, pairs)))
			figures.foundAsOwn++;
	}
	return figures;
}
