import { STATIONS } from '../registry';
import { NEUTRAL_BASIS } from '../trial/neutral-basis';

const IDS = new Set(STATIONS.flatMap((s) => s.quantities(NEUTRAL_BASIS)).map((d) => d.id));

/**
 * Whether a criterion can be about a quantity: one of a station's, or a tester's own measure by its id.
 * @example isKnownQuantity('costPerGoodKg') // true
 */
export const isKnownQuantity = (id: string): boolean => IDS.has(id) || /^own\.[0-9a-f-]{36}$/.test(id);
