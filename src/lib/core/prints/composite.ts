import type { Finding, QuantityDef } from '../finding/types';
import { drawFrom, quantileTable } from '../pick/quantile-table';
import type { Criterion } from '../pick/types';
import { priorValue, valueOf } from '../pick/value';
import { moments } from '../compare/moments';
import { randomSource } from '../random/source';

/** One mark's share in a composite. */
type CompositePart = {
	quantity: string;
	weight: number;
	/** 0 at the worst end of the mark's scale, 1 at the best. */
	value: number;
	/** Prints behind it; 0 where nothing is known and the middle of what can be stands in. */
	n: number;
};

export type Composite = {
	/** Weighted mean of the parts' values, 0 to 1. */
	value: number;
	low: number;
	high: number;
	/** Heaviest first. */
	parts: CompositePart[];
	/** Share of the weight that rests on prints. */
	knownShare: number;
};

const DRAWS = 4000;
const SEED = 17;

/**
 * All marks of a spool's prints in one figure, weighted as the trial weighs them: the values of the pick, of this station alone. What is
 * not known is drawn over all it can be, so that it widens the interval instead of counting as zero.
 * Source: additive value (Keeney & Raiffa 1976); interval from 4,000 seeded draws of what each finding allows.
 * @param findings the finding of each quantity that counts for this spool
 * @returns null where no weighed mark was taken
 * @example composite(findings, criteria, defs)?.parts[0] // { quantity: 'strings', weight: 8, value: 0.67, n: 3 }
 */
export function composite(
	findings: Readonly<Record<string, Finding | undefined>>,
	criteria: readonly Criterion[],
	defs: readonly QuantityDef[]
): Composite | null {
	const weighed = criteria.flatMap((criterion) => {
		const def = defs.find((d) => d.id === criterion.quantity);
		if (!def || criterion.weight <= 0) return [];
		const finding = findings[def.id];
		const sampling = finding?.sampling ?? { kind: 'unknown' as const, reason: { id: 'noMarks', params: {} } };
		const middle = finding?.estimate ?? moments(sampling)?.mean ?? null;
		const value = middle === null ? priorValue(def) : valueOf(middle, def);
		return [{ def, table: quantileTable(sampling, def), part: { quantity: def.id, weight: criterion.weight, value, n: finding?.n ?? 0 } }];
	});
	if (!weighed.some((w) => w.part.n > 0)) return null;
	const total = weighed.reduce((sum, w) => sum + w.part.weight, 0);
	const mean = (of: (w: (typeof weighed)[number]) => number) => weighed.reduce((sum, w) => sum + w.part.weight * of(w), 0) / total;
	const uniform = randomSource(SEED);
	const draws = Float64Array.from({ length: DRAWS }, () => mean((w) => valueOf(drawFrom(w.table, uniform()), w.def))).sort();
	const value = mean((w) => w.part.value);
	return {
		value,
		// The estimate is what was seen; the interval must reach it even where priors pull away.
		low: Math.min(value, draws[Math.floor(0.025 * DRAWS)] as number),
		high: Math.max(value, draws[Math.ceil(0.975 * DRAWS) - 1] as number),
		parts: weighed.map((w) => w.part).sort((a, b) => b.weight - a.weight),
		knownShare: mean((w) => Number(w.part.n > 0))
	};
}
