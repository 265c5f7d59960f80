import { STATIONS } from '../../joins/registry';
import { familyOfCriterion } from './families';
import { NEUTRAL_BASIS } from '../../judging/trial/neutral-basis';

const IDS = new Set(STATIONS.flatMap((s) => s.quantities(NEUTRAL_BASIS)).map((d) => d.id));

/**
 * Whether a criterion can be about something: a quantity of a station, a tester's own measure by its id, or a family of quantities.
 * @example isKnownQuantity('costPerGoodKg') // true
 */
export const isKnownQuantity = (id: string): boolean => IDS.has(id) || familyOfCriterion(id) !== null || /^own\.[0-9a-f-]{36}$/.test(id);
