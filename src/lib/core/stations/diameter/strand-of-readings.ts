import { nth } from '../../kernel/lists/nth';
import type { Instrument } from '../../record/evidence/instrument';
import type { Reading } from '../../record/evidence/reading';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { spreadOf } from '../../kernel/stats/spread';
import { instrumentBudget, type InstrumentBudget } from './budget';
import { LOOKS } from './looks';
import { normalStrand, type PlaceReadings, type Strand } from './strand';

type MeasuredReading = Reading & { value: number };

/** The diameter readings that count for a strand, and the strand they tell of. */
export type ReadStrand = {
	counted: MeasuredReading[];
	/** Counted readings of coarser instruments, left aside for the finest. */
	leftAside: number;
	valuesMm: number[];
	places: PlaceReadings[];
	strand: Strand;
};

/** So many readings of the finest instrument speak for themselves (common practice, no source: a quick check). */
const ENOUGH_OF_FINEST = 10;

/**
 * The strand as a spool's counted readings tell it, the bias of checked instruments taken off. Of several instruments the finest counts
 * alone once it has enough readings; until then all count, as good as the worst of them. Readings of one place are not independent of
 * each other; how many independent ones they are worth follows from the spread of all readings over the standard error of the mean of
 * the places.
 * Source: effective size of a cluster sample (Kish 1965), rounded down to a whole number.
 * @returns null without readings
 * @example strandOfReadings(evidence, 1.75)?.strand.nEffective // 8
 */
export function strandOfReadings(evidence: SpoolEvidence, nominalMm: number): ReadStrand | null {
	const all = diameterReadings(evidence).counted;
	const sets = setsOf(evidence, all, nominalMm);
	const [finest] = sets;
	if (!finest) return null;
	const alone = sets.length > 1 && finest.readings.length >= ENOUGH_OF_FINEST;
	const counting = alone ? [finest] : sets;
	const budget = (counting.at(-1) as InstrumentSet).budget;
	const biasOf = new Map(counting.flatMap((set) => set.readings.map((r) => [r.id, set.budget.biasMm] as const)));
	const counted = all.filter((r) => biasOf.has(r.id));
	const valuesMm = counted.map((r) => r.value - (biasOf.get(r.id) ?? 0));
	const inTime = counted
		.map((reading, i) => ({ reading, valueMm: nth(valuesMm, i) }))
		.sort((a, b) => a.reading.takenAt - b.reading.takenAt);
	const looks = LOOKS.filter((look) => look <= inTime.length).map((look) => strandOf(inTime.slice(0, look), budget, []).strand);
	const { strand, places } = strandOf(
		counted.map((reading, i) => ({ reading, valueMm: nth(valuesMm, i) })),
		budget,
		looks
	);
	return { counted, leftAside: all.length - counted.length, valuesMm, places, strand };
}

type Corrected = { reading: MeasuredReading; valueMm: number };

/** The strand that some readings tell of, bias taken off. */
function strandOf(
	of: readonly Corrected[],
	budget: InstrumentBudget,
	looks: readonly Strand[]
): { strand: Strand; places: PlaceReadings[] } {
	const valuesMm = of.map((o) => o.valueMm);
	const over = spreadOf(valuesMm) as NonNullable<ReturnType<typeof spreadOf>>;
	const places = placesOf(
		of.map((o) => o.reading),
		valuesMm
	);
	const means = spreadOf(places.map(meanOfPlace));
	const strand = normalStrand(
		{
			n: over.n,
			nEffective: effectiveNumber(places.length, means?.sd ?? null, over),
			spots: places.length,
			looks,
			meanMm: over.mean,
			sdMm: over.sd,
			lowMm: over.low,
			highMm: over.high,
			standardErrorMm:
				means?.sd == null ? null : standardErrorOf(means.sd, places.length, Math.max(over.sd ?? 0, budget.resolutionMm / Math.sqrt(12))),
			df: places.length - 1,
			budget
		},
		valuesMm
	);
	return { strand, places };
}

type InstrumentSet = { readings: MeasuredReading[]; budget: InstrumentBudget };

/** Readings by instrument and check in force, the finest first. */
function setsOf(evidence: SpoolEvidence, readings: readonly MeasuredReading[], nominalMm: number): InstrumentSet[] {
	const sets = new Map<string, InstrumentSet>();
	for (const r of readings) {
		const instrument = instrumentOf(evidence, r);
		const budget = instrumentBudget(instrument, nominalMm, r.takenAt);
		const key = `${instrument?.id ?? ''} ${budget.check?.id ?? ''}`;
		const set = sets.get(key) ?? { readings: [], budget };
		set.readings.push(r);
		sets.set(key, set);
	}
	return [...sets.values()].sort((a, b) => a.budget.standardUncertaintyMm - b.budget.standardUncertaintyMm);
}

/**
 * All diameter readings of a spool that have a value, by whether they count.
 * @example diameterReadings(evidence).counted.length // 10
 */
export function diameterReadings(evidence: SpoolEvidence): { counted: MeasuredReading[]; excluded: string[] } {
	const all = evidence.readings.filter((r): r is MeasuredReading => r.quantity === 'diameter' && r.value !== null);
	const counted = all.filter((r) => r.status === 'counts');
	return { counted, excluded: all.filter((r) => r.status === 'excluded').map((r) => r.id) };
}

/**
 * The instrument a reading was taken with, where it was named.
 * @example instrumentOf(evidence, reading)?.name // 'caliper'
 */
export function instrumentOf(evidence: SpoolEvidence, reading: Reading): Instrument | null {
	return instrumentById(evidence, reading.instrumentId);
}

/**
 * An instrument by its id; null where none was named.
 * @example instrumentById(evidence, log.instrumentId)?.name // 'line gauge'
 */
export function instrumentById(evidence: SpoolEvidence, id: string | null): Instrument | null {
	return evidence.instruments.find((i) => i.id === id) ?? null;
}

/**
 * Mean of the readings of one place.
 * @returns mm
 * @example meanOfPlace({ index: 0, positionM: null, valuesMm: [1.74, 1.76] }) // 1.75
 */
export function meanOfPlace(place: PlaceReadings): number {
	return (spreadOf(place.valuesMm) as { mean: number }).mean;
}

function placesOf(counted: readonly MeasuredReading[], valuesMm: readonly number[]): PlaceReadings[] {
	const byPlace = new Map<string, PlaceReadings>();
	counted.forEach((r, i) => {
		const key = r.placeIndex === null ? r.id : String(r.placeIndex);
		const here = byPlace.get(key) ?? { index: r.placeIndex ?? byPlace.size, positionM: r.positionM, valuesMm: [] };
		here.valuesMm.push(nth(valuesMm, i));
		byPlace.set(key, here);
	});
	return [...byPlace.values()].sort((a, b) => a.index - b.index);
}

/** Fewer places may agree by luck. */
const FEW_PLACES = 4;

/**
 * Standard error of the mean. Two or three places that happen to agree say too little of the scatter between places: there it is at least what
 * the scatter of all readings, or of what the display hides, makes of so many.
 */
function standardErrorOf(sdOfMeans: number, places: number, sdOfAll: number): number {
	const between = sdOfMeans / Math.sqrt(places);
	return places < FEW_PLACES ? Math.max(between, sdOfAll / Math.sqrt(places)) : between;
}

function effectiveNumber(places: number, sdOfMeans: number | null, over: { n: number; sd: number | null }): number {
	if (sdOfMeans === null || !over.sd) return places;
	// Places that agree to the last digit while readings scatter: each reading is its own witness.
	if (sdOfMeans === 0) return over.n;
	const variance = sdOfMeans ** 2 / places;
	return Math.min(over.n, Math.max(places, Math.floor(over.sd ** 2 / variance + 1e-9)));
}
