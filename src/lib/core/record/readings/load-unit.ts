import { greatest, rollup } from 'd3-array';
import { readingsAt } from '../evidence/readings-at';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import { UNITS } from '../../kernel/units/dimension';

/** A unit that loads are typed and shown in. */
export type LoadUnit = (typeof UNITS.load)[number];

const isLoadUnit = (unit: string): unit is LoadUnit => (UNITS.load as readonly string[]).includes(unit);

/**
 * The unit that loads are shown in: the one most of them were typed in, newtons while there are none. A tester who hangs pounds reads pounds.
 * @example loadUnitOf(spools) // 'lb'
 */
export function loadUnitOf(spools: readonly Pick<SpoolEvidence, 'readings'>[]): LoadUnit {
	const typed = spools.flatMap((s) =>
		readingsAt(s, 'strength').flatMap((r) =>
			(r.quantity === 'loadHeld' || r.quantity === 'loadBroke') && r.status === 'counts' && isLoadUnit(r.typedUnit) ? [r.typedUnit] : []
		)
	);
	const counts = [
		...rollup(
			typed,
			(of) => of.length,
			(unit) => unit
		)
	].sort(([a], [b]) => (a < b ? -1 : 1));
	return greatest(counts, ([, count]) => count)?.[0] ?? 'N';
}
