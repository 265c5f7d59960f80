import { sideOf } from '../../judging/compare/apart';
import { isMeasured } from '../../judging/finding/measured';
import type { QuantityDef } from '../../judging/finding/types';
import type { RankedFinding } from '../pick/ranked-finding';
import type { Candidate } from '../pick/types';
import { valueOf } from '../pick/value';

/** One quantity of a spool beside all its fellows. */
export type BesideFellows = {
	quantity: string;
	estimate: number;
	n: number;
	/** Where it lies from the worst, 0, to the best, 1, with the ends of its 95 % range. */
	value: number;
	low: number;
	high: number;
	/** Where each fellow lies. */
	fellows: number[];
	/** So many fellows are clearly worse than it, and so many clearly better. */
	worse: number;
	better: number;
};

type Measured = RankedFinding & { estimate: number };

const measured = (finding: RankedFinding | undefined): finding is Measured =>
	finding !== undefined && finding.estimate !== null && isMeasured(finding);

/**
 * A spool beside all spools of its material that were ever measured: for each quantity that tells something of a family, where it lies among them and how
 * many are clearly worse and better. Told at 95 % over all fellows together; who is neither is as good as far as one can tell.
 * Source: `compare/apart.ts`.
 * @param fellows other spools, judged by the same rules
 * @example besideFellows(spool, fellows, defs).find((line) => line.quantity === 'strings')?.worse // 3
 */
export function besideFellows(spool: Candidate, fellows: readonly Candidate[], defs: readonly QuantityDef[]): BesideFellows[] {
	return defs.flatMap((def) => {
		const own = spool.findings[def.id];
		if (def.family === null || def.onSheet === false || !measured(own)) return [];
		const others = fellows.map((f) => f.findings[def.id]).filter(measured);
		const told = others.map((other) => sideOf(other, own, def, others.length));
		const ends = [own.interval?.low ?? own.estimate, own.interval?.high ?? own.estimate].map((x) => valueOf(x, def));
		const value = valueOf(own.estimate, def);
		return [
			{
				quantity: def.id,
				estimate: own.estimate,
				n: own.n,
				value,
				low: Math.min(value, ...ends),
				high: Math.max(value, ...ends),
				fellows: others.map((other) => valueOf(other.estimate, def)),
				worse: told.filter((side) => side === 'worse').length,
				better: told.filter((side) => side === 'better').length
			}
		];
	});
}
