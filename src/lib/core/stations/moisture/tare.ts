import { stated } from '../../record/claims/stated';
import type { Reading } from '../../record/evidence/reading';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Weighing } from './weighings';

/** Mass of the empty spool: known when it was weighed, else a range. */
export type Tare = {
	lowG: number;
	highG: number;
	known: boolean;
	from: 'weighed' | 'netMass' | 'usual';
	/** A weighed reel that is heavier than the spool with filament on it: not used, and said. */
	contradictsG?: number;
};

/** Empty spools for about a kilogram, plastic or card (common practice, no source). */
const USUAL_REEL_G = { low: 100, high: 350 };
/** How far a full reel's filament may lie from the net mass on its label (common practice, no source). */
const FILLING = { short: 0.97, over: 1.05 };

/**
 * The tare of a spool. Weighed at any time, also later, it counts for all weighings before. Not weighed: the first weighing less the
 * net mass on the label, if the spool was full then; else the range of usual reels.
 * @param chain the gross weighings of the spool in time order
 * @example tareOf(evidence, chain) // { lowG: 208, highG: 208, known: true, from: 'weighed' }
 */
export function tareOf(evidence: SpoolEvidence, chain: readonly Weighing[]): Tare {
	const weighed = evidence.readings
		.filter((r): r is Reading & { value: number } => r.quantity === 'tareMass' && r.status === 'counts' && r.value !== null)
		.sort((a, b) => a.takenAt - b.takenAt)
		.at(-1);
	const lightest = Math.min(...chain.map((w) => w.grossG));
	const usable = weighed !== undefined && weighed.value < lightest;
	const contradicts = weighed && !usable ? { contradictsG: weighed.value } : {};
	if (usable) return { lowG: weighed.value, highG: weighed.value, known: true, from: 'weighed' };
	const cap = (g: number) => Math.max(0, Math.min(g, lightest - 1));
	const net = stated(evidence.claims, 'netMassG')?.value ?? null;
	const [first] = chain;
	const full = first && !evidence.attempts.some((a) => a.status === 'counts' && a.at <= first.at);
	if (first && full && net !== null && first.grossG > net * FILLING.short)
		return {
			lowG: cap(first.grossG - net * FILLING.over),
			highG: cap(first.grossG - net * FILLING.short),
			known: false,
			from: 'netMass',
			...contradicts
		};
	return { lowG: cap(USUAL_REEL_G.low), highG: cap(USUAL_REEL_G.high), known: false, from: 'usual', ...contradicts };
}
