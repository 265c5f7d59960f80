import type { Grade, Interval, QuantityDef } from './types';

/** Fewer say too little, however narrow their interval. */
const ENOUGH = 3;

/**
 * How much a finding can carry: its half-width over the difference that matters.
 * Above 1 thin, at most 1 fair, at most 1/2 firm; under three prints, parts or spots never above thin. Source: house rule (docs/methods.md).
 * @example grade({ n: 10, interval: { low: 1.745, high: 1.755, level: 0.95, kind: 'confidence' } }, { differenceThatMatters: 0.02 }) // 'firm'
 */
export function grade(
	found: { n: number; nEffective?: number | null; interval: Interval | null },
	def: Pick<QuantityDef, 'differenceThatMatters'>,
	enough = ENOUGH
): Grade {
	if (found.n === 0) return 'none';
	if ((found.nEffective ?? found.n) < enough || found.interval === null) return 'thin';
	const ratio = (found.interval.high - found.interval.low) / 2 / def.differenceThatMatters;
	if (ratio > 1) return 'thin';
	return ratio > 0.5 ? 'fair' : 'firm';
}
