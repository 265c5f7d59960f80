import type { Specimen, SpecimenMeasure } from '../evidence/specimen';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import { MEASURE_OF } from './quantities';

/**
 * What kind of specimen this is: only one kind is compared in a column, since a hook says nothing of a bar, nor flat of upright.
 * @example kindOf({ shape: 'Hook', orientation: 'upright', method: 'steps' }) // 'hook · upright · steps'
 */
export function kindOf(specimen: Pick<Specimen, 'shape' | 'orientation' | 'method'>): string {
	return `${specimen.shape.trim().toLowerCase()} · ${specimen.orientation} · ${specimen.method}`;
}

/**
 * The kind a trial compares, for each way of telling: the one that most spools have, then the one with most specimens, then by name.
 * @example specimenKinds(spools).load // 'hook · upright · steps'
 */
export function specimenKinds(spools: readonly Pick<SpoolEvidence, 'specimens'>[]): Record<SpecimenMeasure, string | null> {
	const kinds = new Map<string, { measure: SpecimenMeasure; spools: number; specimens: number }>();
	for (const spool of spools) {
		const seen = new Set<string>();
		for (const specimen of spool.specimens.filter((s) => s.status === 'counts')) {
			const kind = kindOf(specimen);
			const tally = kinds.get(kind) ?? { measure: MEASURE_OF[specimen.method], spools: 0, specimens: 0 };
			tally.specimens += 1;
			if (!seen.has(kind)) tally.spools += 1;
			seen.add(kind);
			kinds.set(kind, tally);
		}
	}
	const first = (measure: SpecimenMeasure) =>
		[...kinds]
			.filter(([, t]) => t.measure === measure)
			.sort(([a, x], [b, y]) => y.spools - x.spools || y.specimens - x.specimens || (a < b ? -1 : 1))[0]?.[0] ?? null;
	return { load: first('load'), blows: first('blows'), byHand: first('byHand') };
}
