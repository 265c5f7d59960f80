import type { InstrumentBudget } from './budget';
import { claimVerdict } from './claim-verdict';
import type { ToleranceClaim } from './claims';
import { decisiveness } from './decisiveness';
import { LOOKS, nextLook } from './looks';
import { normalStrand, type Strand } from './strand';

/** Where on the spool readings are taken: what lies outside on the reel says little of what lies at its core. */
const ZONES = ['first', 'middle', 'end'] as const;
export type Zone = (typeof ZONES)[number];

export type ClaimPlan = {
	/** `hopeless`: no number of readings will decide it with this instrument. */
	state: 'open' | 'decided' | 'hopeless';
	/** Readings in all, as far as can be told now. */
	total: number;
	/** Readings in each zone: taken, and wanted in all. */
	zones: { zone: Zone; positionM: number; taken: number; wanted: number }[];
};

/** Before anything is known a strand is planned for as if its spread used this share of the tolerance (common practice, no source). */
const PLANNED_SD_SHARE = 1 / 3;
/** Length of strand taken for the first metres and left for the end. */
const EDGE_M = 3;

/**
 * How many readings a claim test wants and where, drawn anew as readings come: a third each from the first metres, the middle and the end.
 * Source: the verdict of claim-verdict; the three zones are common practice, no source.
 * @param lengthM length of a full spool, from net mass, density and diameter
 * @param positionsM where the readings so far were taken; null for a quick check, which counts as the first metres
 * @example claimPlan(strand, claim, budget, 330, positions).total // 24
 */
export function claimPlan(
	strand: Strand | null,
	claim: ToleranceClaim,
	budget: InstrumentBudget,
	lengthM: number,
	positionsM: readonly (number | null)[]
): ClaimPlan {
	const places: Record<Zone, number> = { first: EDGE_M, middle: lengthM / 2, end: Math.max(EDGE_M, lengthM - EDGE_M) };
	const taken: Record<Zone, number> = { first: 0, middle: 0, end: 0 };
	for (const position of positionsM) taken[zoneOf(position, lengthM)] += 1;
	const now = strand ? claimVerdict(strand, claim.lowMm, claim.highMm) : null;
	const n = positionsM.length;
	const seenAll = ZONES.every((zone) => taken[zone] > 0);
	const decided = now !== null && now.verdict !== 'undecided' && seenAll;
	const never = now?.verdict === 'undecided' && now.decidesAt === null;
	const useless = strand === null && decisiveness(budget.standardUncertaintyMm, claim.toleranceMm).able === 'onlyBroken';
	const state = decided ? 'decided' : never || useless ? 'hopeless' : 'open';
	const wantedNow = decided || never ? n : (now?.decidesAt ?? nextLook(n) ?? plannedNumber(claim, budget));
	const total = state === 'open' ? Math.max(strand ? wantedNow : plannedNumber(claim, budget), LOOKS[0]) : n;
	const third = Math.ceil(total / ZONES.length);
	return {
		state,
		total,
		zones: ZONES.map((zone) => ({
			zone,
			positionM: places[zone],
			taken: taken[zone],
			wanted: state === 'open' ? Math.max(taken[zone], third) : taken[zone]
		}))
	};
}

/**
 * The zone a position belongs to; unknown positions are the first metres.
 * @example zoneOf(165, 330) // 'middle'
 */
export function zoneOf(positionM: number | null, lengthM: number): Zone {
	if (positionM === null || positionM < lengthM / 4) return 'first';
	return positionM > (3 * lengthM) / 4 ? 'end' : 'middle';
}

/**
 * Length of strand of a mass.
 * Source: arithmetic; 1 kg of 1.24 g/cm3 at 1.75 mm is 335 m.
 * @example strandLengthM(1000, 1.24, 1.75) // 335
 */
export function strandLengthM(massG: number, densityGcm3: number, diameterMm: number): number {
	// Cubic centimetres over square millimetres are metres.
	return massG / densityGcm3 / ((Math.PI * diameterMm ** 2) / 4);
}

/** The look that would decide it, if the strand is as one is planned for. */
function plannedNumber(claim: ToleranceClaim, budget: InstrumentBudget): number {
	const n = LOOKS[0] - 1;
	const imagined = normalStrand(
		{
			n,
			nEffective: n,
			spots: n,
			looks: [],
			meanMm: (claim.lowMm + claim.highMm) / 2,
			sdMm: claim.toleranceMm * PLANNED_SD_SHARE,
			lowMm: claim.lowMm,
			highMm: claim.highMm,
			standardErrorMm: null,
			df: n - 1,
			budget
		},
		[]
	);
	return claimVerdict(imagined, claim.lowMm, claim.highMm)?.decidesAt ?? LOOKS[0];
}
