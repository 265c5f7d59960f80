import { group } from 'd3-array';
import type { Specimen, SpecimenMeasure } from '../../record/evidence/specimen';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { MEASURE_OF } from './quantities';

type Told = Pick<Specimen, 'shape' | 'orientation' | 'method' | 'made'>;

/**
 * What kind of specimen this is: only one kind is compared in a column, since a hook says nothing of a bar, nor flat of upright, nor plain walls of fine ones.
 * @example kindOf({ shape: 'Hook', orientation: 'upright', method: 'steps', made: null }) // 'hook · upright · steps'
 */
export function kindOf({ shape, orientation, method, made }: Told): string {
	return [shape.trim().toLowerCase(), orientation, method, ...(made?.trim() ? [made.trim().toLowerCase()] : [])].join(' · ');
}

/** Specimens of one kind that were printed at one temperature; `nozzleC` null where all were, or nobody said. */
export type AtTemperature<T> = { nozzleC: number | null; specimens: T[] };

/**
 * Specimens of one kind, apart where one spool has them at several nozzle temperatures: what was printed colder says nothing of hotter. The temperature with
 * the most of them first (among equals the hottest), which is the one that counts; the others by temperature.
 * @param specimens temperatures in C
 * @example atTemperatures([{ nozzleC: 230 }, { nozzleC: 250 }, { nozzleC: 230 }]).map((t) => t.nozzleC) // [230, 250]
 */
export function atTemperatures<T extends Pick<Specimen, 'nozzleC'>>(specimens: readonly T[]): AtTemperature<T>[] {
	const byC = [...group(specimens, (s) => s.nozzleC)].map(([nozzleC, of]) => ({ nozzleC, specimens: of }));
	if (byC.length < 2) return [{ nozzleC: null, specimens: [...specimens] }];
	const inOrder = byC.sort((a, b) => (a.nozzleC ?? 0) - (b.nozzleC ?? 0));
	const most = Math.max(...inOrder.map((t) => t.specimens.length));
	const counts = inOrder.findLast((t) => t.specimens.length === most) ?? inOrder[0];
	return [...inOrder.filter((t) => t === counts), ...inOrder.filter((t) => t !== counts)];
}

/** Kinds of one trial, most common first, by what they are told in. */
type Kinds = Record<SpecimenMeasure, string[]>;

/**
 * All kinds the spools of a trial have: the one that most spools have first, then the one with most specimens, then by name.
 * @example kindsOfTrial(spools).load // ['hook · upright · steps', 'bar · flat · direct']
 */
export function kindsOfTrial(spools: readonly Pick<SpoolEvidence, 'specimens'>[]): Kinds {
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
	const inOrder = (measure: SpecimenMeasure) =>
		[...kinds]
			.filter(([, t]) => t.measure === measure)
			.sort(([a, x], [b, y]) => y.spools - x.spools || y.specimens - x.specimens || (a < b ? -1 : 1))
			.map(([kind]) => kind);
	return { load: inOrder('load'), blows: inOrder('blows'), byHand: inOrder('byHand') };
}

/**
 * The kind a trial compares, for each way of telling: the one that was chosen by hand while any spool has it, else the most common.
 * @example specimenKinds(spools, {}).load // 'hook · upright · steps'
 */
export function specimenKinds(
	spools: readonly Pick<SpoolEvidence, 'specimens'>[],
	chosen: Partial<Record<SpecimenMeasure, string>>
): Record<SpecimenMeasure, string | null> {
	const kinds = kindsOfTrial(spools);
	const first = (measure: SpecimenMeasure) => kinds[measure].find((kind) => kind === chosen[measure]) ?? kinds[measure][0] ?? null;
	return { load: first('load'), blows: first('blows'), byHand: first('byHand') };
}
