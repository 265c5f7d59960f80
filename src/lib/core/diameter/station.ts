import { stated } from '../claims/stated';
import type { Instrument, Protocol, Reading, SpoolEvidence } from '../evidence';
import { EMPTY_CONTEXT, makeFinding } from '../finding/make-finding';
import type { Finding, FindingContext, Message, Missing } from '../finding/types';
import type { Station } from '../station';
import { combineUncertainties } from '../stats/combined-uncertainty';
import { meanInterval, tQuantile } from '../stats/mean-interval';
import { compareAtResolution } from '../stats/resolution';
import { wilsonInterval } from '../stats/wilson';
import { decidability } from './decidability';
import { flowError } from './flow';
import { instrumentUncertainty } from './instrument-uncertainty';
import { oddReadings } from './odd-readings';
import { diameterMean, diameterOutside } from './quantities';

/** Assumed where no instrument was named: a caliper of the common kind (common practice, no source). */
const UNNAMED_CALIPER = { errorLimit: 0.02, resolution: 0.01 };

type Valued = Reading & { value: number };

export const diameterStation: Station = {
	id: 'diameter',
	quantities: (protocol) => [diameterMean(protocol), diameterOutside],
	find(evidence, protocol) {
		return [findMean(evidence, protocol), findOutside(evidence, protocol)];
	},
	next: (findings) => findings.filter((f) => f.quantity === 'diameterMean').flatMap((f) => f.missing)
};

function usable(evidence: SpoolEvidence): { counted: Valued[]; used: string[]; excluded: string[] } {
	const all = evidence.readings.filter((r) => r.station === 'diameter' && r.quantity === 'diameter' && r.value !== null) as Valued[];
	const counted = all.filter((r) => r.status === 'counts');
	return { counted, used: counted.map((r) => r.id), excluded: all.filter((r) => r.status === 'excluded').map((r) => r.id) };
}

function missingReadings(count: number, protocol: Protocol): Missing[] {
	const wanted = protocol.diameterPlaces * protocol.diameterDirections - count;
	if (wanted <= 0) return [];
	return [{ action: 'measureDiameter', station: 'diameter', count: wanted, minutes: Math.ceil(wanted / 4), params: { count: wanted } }];
}

function contextOf(evidence: SpoolEvidence, counted: readonly Reading[]): FindingContext {
	const times = counted.map((r) => r.takenAt);
	return {
		...EMPTY_CONTEXT,
		lots: evidence.spool.lot ? [evidence.spool.lot] : [],
		instruments: [...new Set(counted.map((r) => instrumentOf(evidence, r)?.name ?? 'unnamed'))],
		from: times.length ? Math.min(...times) : null,
		to: times.length ? Math.max(...times) : null
	};
}

function instrumentOf(evidence: SpoolEvidence, reading: Reading): Instrument | null {
	return evidence.instruments.find((i) => i.id === reading.instrumentId) ?? null;
}

/** The instrument budget of a set of readings: the worst of the instruments used. */
function instrumentBudget(evidence: SpoolEvidence, counted: readonly Valued[]): { errorLimit: number; resolution: number; named: boolean } {
	const instruments = counted.map((r) => instrumentOf(evidence, r));
	const named = instruments.length > 0 && instruments.every((i) => i?.errorLimit != null);
	if (!named) return { ...UNNAMED_CALIPER, named: false };
	return {
		errorLimit: Math.max(...instruments.map((i) => i?.errorLimit ?? 0)),
		resolution: Math.max(...counted.map((r) => r.resolution ?? UNNAMED_CALIPER.resolution)),
		named: true
	};
}

function places(counted: readonly Valued[]) {
	const byPlace = new Map<number, Valued[]>();
	for (const reading of counted) {
		const index = reading.placeIndex ?? byPlace.size;
		byPlace.set(index, [...(byPlace.get(index) ?? []), reading]);
	}
	return [...byPlace.entries()]
		.sort(([a], [b]) => a - b)
		.map(([index, here]) => {
			const values = here.map((r) => r.value);
			return { index, positionM: here[0]?.positionM ?? null, lowMm: Math.min(...values), highMm: Math.max(...values) };
		});
}

/**
 * Mean diameter. Both the scatter of the readings (over places: readings of one place are averaged first, since they are not
 * independent) and the instrument's error limit count; the latter does not shrink with more readings.
 */
function findMean(evidence: SpoolEvidence, protocol: Protocol): Finding {
	const def = diameterMean(protocol);
	const { counted, used, excluded } = usable(evidence);
	const nominalMm = stated(evidence.claims, 'diameter')?.value ?? protocol.nominalMm;
	const tolerance = stated(evidence.claims, 'diameterTolerance');
	const subject = { spoolId: evidence.spool.id, condition: null, pieceId: null };
	const missing = missingReadings(counted.length, protocol);
	const common = {
		subject,
		missing,
		context: contextOf(evidence, counted),
		method: 'diameterMean',
		source: 'ISO 2602; JCGM 100 (GUM) for the instrument',
		inputs: { used, excluded, revision: evidence.spool.revision },
		figure: { kind: 'strand' as const, nominalMm, toleranceMm: tolerance?.value ?? null, places: places(counted) }
	};
	const n = counted.length;
	if (n === 0) return makeFinding(def, { ...common, sampling: { kind: 'unknown', reason: { id: 'noReadings', params: {} } } });

	const budget = instrumentBudget(evidence, counted);
	const instrumentU = instrumentUncertainty(budget.errorLimit, budget.resolution);
	const placeMeans = meanOfPlaces(counted);
	const over = meanInterval(placeMeans);
	const estimate = meanInterval(counted.map((r) => r.value)).mean as number;
	const messages = diameterSentence(evidence, counted, budget, nominalMm, missing[0]?.count ?? 0);
	if (over.standardError === null) {
		// One place says nothing of the rest of the spool: the prior's width is what the pick may draw from.
		return makeFinding(def, {
			...common,
			estimate,
			n,
			nEffective: 1,
			sampling: { kind: 'unknown', reason: { id: 'onePlace', params: {} } },
			messages
		});
	}
	const combined = combineUncertainties([
		{ standardUncertainty: over.standardError, df: over.df },
		{ standardUncertainty: instrumentU, df: Infinity }
	]);
	const df = combined.df === null || !Number.isFinite(combined.df) ? null : combined.df;
	const half = tQuantile(0.975, df ?? Infinity) * combined.standardUncertainty;
	return makeFinding(def, {
		...common,
		estimate,
		n,
		nEffective: placeMeans.length,
		interval: { low: estimate - half, high: estimate + half, level: 0.95, kind: 'confidence' },
		sampling: { kind: 't', mean: estimate, standardError: combined.standardUncertainty, df },
		messages
	});
}

function meanOfPlaces(counted: readonly Valued[]): number[] {
	const byPlace = new Map<string, number[]>();
	for (const r of counted) {
		const key = r.placeIndex === null ? r.id : String(r.placeIndex);
		byPlace.set(key, [...(byPlace.get(key) ?? []), r.value]);
	}
	return [...byPlace.values()].map((values) => meanInterval(values).mean as number);
}

/** Sentence first: what the readings say of the claim, then whether the instrument can say it. */
function diameterSentence(
	evidence: SpoolEvidence,
	counted: readonly Valued[],
	budget: { errorLimit: number; resolution: number; named: boolean },
	nominal: number,
	left: number
): Message[] {
	const n = counted.length;
	const values = counted.map((r) => r.value);
	const tolerance = stated(evidence.claims, 'diameterTolerance');
	const worst = Math.max(...values.map((v) => Math.abs(v - nominal)));
	const worstFlow = Math.max(...values.map((v) => Math.abs(flowError(v, nominal))));
	const params = { n, worst, worstFlowPct: worstFlow * 100, low: Math.min(...values), high: Math.max(...values), left };
	const odd = oddReadings(counted).map((r): Message => ({ id: 'diameterOdd', params: { readingId: r.id, typed: r.typedText } }));
	const unnamed: Message[] = budget.named ? [] : [{ id: 'instrumentUnnamed', params: { errorLimit: budget.errorLimit } }];
	if (tolerance === null) return [{ id: 'diameterNoClaim', params }, ...odd, ...unnamed];
	const twoClaims: Message[] =
		tolerance.other !== null && tolerance.other !== tolerance.value
			? [{ id: 'twoTolerances', params: { label: tolerance.value, listing: tolerance.other } }]
			: [];
	const claim = { ...params, tolerance: tolerance.value };
	const able = decidability(budget.errorLimit, budget.resolution, tolerance.value);
	const instrument: Message = {
		id: `instrument.${able.able}`,
		params: { u: able.standardUncertaintyMm, sharePct: able.shareOfTolerance * 100, tolerance: tolerance.value }
	};
	const beyond = compareAtResolution(worst, tolerance.value + 2 * able.standardUncertaintyMm, budget.resolution) > 0;
	const inside = compareAtResolution(worst, tolerance.value, budget.resolution) <= 0;
	const id = beyond
		? 'diameterBeyondDoubt'
		: able.able === 'unable'
			? inside
				? 'diameterCannotTell'
				: 'diameterSeemsOutside'
			: inside
				? 'diameterInside'
				: 'diameterOutsideSeen';
	return [{ id, params: claim }, instrument, ...odd, ...twoClaims, ...unnamed];
}

/** Share of readings outside the stated tolerance, limits inclusive, with Wilson's interval. */
function findOutside(evidence: SpoolEvidence, protocol: Protocol): Finding {
	const { counted, used, excluded } = usable(evidence);
	const tolerance = stated(evidence.claims, 'diameterTolerance');
	const nominal = stated(evidence.claims, 'diameter')?.value ?? protocol.nominalMm;
	const common = {
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		context: contextOf(evidence, counted),
		method: 'shareOutside',
		source: 'Wilson 1927; drawn from Beta(x + 1/2, n - x + 1/2) (Jeffreys)',
		inputs: { used, excluded, revision: evidence.spool.revision },
		missing: missingReadings(counted.length, protocol)
	};
	if (tolerance === null || counted.length === 0) {
		const reason: Message = tolerance === null ? { id: 'noToleranceStated', params: {} } : { id: 'noReadings', params: {} };
		return makeFinding(diameterOutside, { ...common, sampling: { kind: 'unknown', reason } });
	}
	const outside = counted.filter(
		(r) =>
			compareAtResolution(r.value, nominal + tolerance.value, r.resolution ?? 0.01) > 0 ||
			compareAtResolution(r.value, nominal - tolerance.value, r.resolution ?? 0.01) < 0
	).length;
	const n = counted.length;
	const wilson = wilsonInterval(outside, n) as { low: number; high: number };
	return makeFinding(diameterOutside, {
		...common,
		estimate: outside / n,
		n,
		interval: { ...wilson, level: 0.95, kind: 'confidence' },
		sampling: { kind: 'beta', a: outside + 0.5, b: n - outside + 0.5 },
		messages: [{ id: 'outsideCount', params: { outside, n } }],
		figure: { kind: 'share', successes: outside, n }
	});
}
