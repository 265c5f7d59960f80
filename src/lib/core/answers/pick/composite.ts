import { sum } from 'd3-array';
import { moments } from '../../judging/sampling/moments';
import type { Finding, QuantityDef } from '../../judging/finding/types';
import type { Criterion } from './types';
import { valueOf } from './value';

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

const Z_95 = 1.959964;

/** From the worst to the best end of a value scale. */
function lengthOf({ direction, scale: { low, high }, target }: QuantityDef): number {
	return direction === 'nearest' && target !== null ? Math.max(high - target, target - low) : high - low;
}

/**
 * All marks of a spool's prints in one figure, weighted as the trial weighs them: the values of the pick, of this station alone. What is
 * not known stands in the middle of what it can be, with all of that as its uncertainty, so that it widens the interval instead of
 * counting as zero.
 * Source: additive value (Keeney & Raiffa 1976); interval from the variances of the parts on their straight value scales (JCGM 100, 5.1.2),
 * clipped to 0 and 1.
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
		const known = finding ? moments(finding.sampling) : null;
		const middle = finding?.estimate ?? known?.mean ?? (def.prior.low + def.prior.high) / 2;
		// Nothing known is anything the prior holds, all alike: a rectangle.
		const sd = known?.sd ?? (def.prior.high - def.prior.low) / Math.sqrt(12);
		return [
			{ part: { quantity: def.id, weight: criterion.weight, value: valueOf(middle, def), n: finding?.n ?? 0 }, sd: sd / lengthOf(def) }
		];
	});
	if (!weighed.some((w) => w.part.n > 0)) return null;
	const total = sum(weighed, (w) => w.part.weight);
	const mean = (of: (part: CompositePart) => number) => sum(weighed, (w) => w.part.weight * of(w.part)) / total;
	const value = mean((part) => part.value);
	const half = Z_95 * Math.hypot(...weighed.map((w) => (w.part.weight * w.sd) / total));
	return {
		value,
		low: Math.max(0, value - half),
		high: Math.min(1, value + half),
		parts: weighed.map((w) => w.part).sort((a, b) => b.weight - a.weight),
		knownShare: mean((part) => Number(part.n > 0))
	};
}
