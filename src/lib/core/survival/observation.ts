/**
 * What is known of one strength: exact (low = high), an interval (held at low, broke at high), right-censored (held at low, never
 * broke: high null) or left-censored (broke at the first load: low 0).
 */
export type Observation = { low: number; high: number | null };

/**
 * Whether the strength itself was read, in the unit of the observation.
 * @example isExact({ low: 20, high: 20 }) // true
 */
export const isExact = (o: Observation): boolean => o.high === o.low;
/**
 * Whether it never broke: then only its lower end is known.
 * @example isHeld({ low: 20, high: null }) // true
 */
export const isHeld = (o: Observation): boolean => o.high === null;

/**
 * Whether one single value would explain all observations: then their scatter cannot be estimated.
 * @example oneValueFits([{ low: 20, high: 25 }, { low: 20, high: 25 }]) // true
 */
export function oneValueFits(observations: readonly Observation[]): boolean {
	const low = Math.max(...observations.map((o) => o.low));
	const high = Math.min(...observations.map((o) => o.high ?? Infinity));
	// An open lower end: a strength of exactly `low` would not have held.
	return observations.some(isExact) ? low <= high : low < high;
}
