import type { Quote } from '../../record/evidence/quote';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';

/**
 * The price that counts: what was paid for the spool, else the newest seen for its product; in the trial's currency, for nothing is converted.
 * @example countedQuote(evidence, { currency: 'EUR' })?.priceMinor // 2190
 */
export const countedQuote = ({ quotes }: Pick<SpoolEvidence, 'quotes'>, { currency }: Pick<Basis, 'currency'>): Quote | null =>
	quotes.find((q) => currency === null || q.currency === currency) ?? null;
