import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Tare } from './tare';

/** Share of its own mass that a card reel may take up or give off between a dry and a damp room (common practice, no source). */
const CARD_TAKES_UP = 0.08;

/**
 * What a card reel itself may have taken up or given off, as a share of the filament's net mass; 0 for every other reel. It goes the way of the
 * filament: of what was gained some may be the card's, and likewise of what was lost.
 * @param netG net mass of the filament
 * @returns a share, from 0
 * @example cardShare({ spool: { reelMaterial: 'card' } }, { highG: 150 }, 1000) // 0.012
 */
export function cardShare(
	{ spool }: { spool: Pick<SpoolEvidence['spool'], 'reelMaterial'> },
	tare: Pick<Tare, 'highG'>,
	netG: number
): number {
	return spool.reelMaterial === 'card' ? (CARD_TAKES_UP * tare.highG) / netG : 0;
}

/**
 * A change of water with room for what the card may have of it.
 * @param change its share and bounds, gained above and lost below 0
 * @param card the card's part, a share from 0
 * @returns bounds as shares
 * @example withCard({ share: 0.01, low: 0.008, high: 0.012 }, 0.005).low // 0.003
 */
export function withCard(change: { share: number; low: number; high: number }, card: number): { low: number; high: number } {
	const { share, low, high } = change;
	return share >= 0 ? { low: low - card, high } : { low, high: high + card };
}
