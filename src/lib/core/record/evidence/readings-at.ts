import { group } from 'd3-array';
import type { Reading } from './reading';
import type { SpoolEvidence } from './spool-evidence';

/** Lists of readings are never changed, so each is gone through once. */
const known = new WeakMap<readonly Reading[], ReadonlyMap<string, Reading[]>>();

/**
 * Readings of a spool that were taken at a station, in their order; the list must not be changed. A spool may have thousands, of which a mark or a
 * load is looked for again and again.
 * @example readingsAt(evidence, 'prints').length // 12
 */
export function readingsAt({ readings }: Pick<SpoolEvidence, 'readings'>, station: string): readonly Reading[] {
	const byStation = known.get(readings) ?? group(readings, (r) => r.station);
	known.set(readings, byStation);
	return byStation.get(station) ?? [];
}
