import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { intervalsOf, relativeWater } from '../moisture/account';
import { cardShare, withCard } from '../moisture/card-reel';
import { tareOf } from '../moisture/tare';
import { weighings } from '../moisture/weighings';

/** What one drying took out: mass before and after, grams and per cent lost. */
export type DryingResult = {
	beforeId: string;
	afterId: string;
	at: number;
	beforeG: number;
	afterG: number;
	lostG: number;
	uG: number;
	seen: boolean;
	lostPct: number;
	lowPct: number;
	highPct: number;
	standardUncertaintyPct: number;
	tareKnown: boolean;
	/** What a card reel may have of it, per cent of the net mass; 0 for other reels. */
	cardPct: number;
};

/**
 * The dryings of a spool that were weighed before and after, in time order.
 * Source: arithmetic on the water chain (moisture/account).
 * @example dryingResults(evidence)[0].lostG // 0.6
 */
export function dryingResults(evidence: SpoolEvidence): DryingResult[] {
	const chain = weighings(evidence);
	const tare = tareOf(evidence, chain);
	return intervalsOf(chain).flatMap((interval, i): DryingResult[] => {
		if (interval.before !== 'dried' || interval.waterG === null) return [];
		const [before, after] = [chain[i], chain[i + 1]];
		const water = relativeWater(chain, tare, i)[i + 1];
		if (!before || !after || !water) return [];
		const card = cardShare(evidence, tare, before.grossG - tare.highG);
		const bounds = withCard(water, card);
		return [
			{
				beforeId: before.id,
				afterId: after.id,
				at: after.at,
				beforeG: before.grossG,
				afterG: after.grossG,
				lostG: -interval.waterG + 0,
				uG: interval.uG,
				seen: interval.seen,
				// Plus zero: nothing lost is 0, not -0.
				lostPct: -water.share * 100 + 0,
				lowPct: -bounds.high * 100,
				highPct: -bounds.low * 100,
				standardUncertaintyPct: water.standardUncertainty * 100,
				tareKnown: tare.known,
				cardPct: card * 100
			}
		];
	});
}
