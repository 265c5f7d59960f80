import type { Reading } from '../../record/evidence/reading';
import type { Specimen } from '../../record/evidence/specimen';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { DAMAGE_WORDS, FAILURE_WORDS, type FailureMode } from './words';
import { readingAs } from '../../judging/posterior/observed';
import type { Observed } from '../../judging/posterior/scale';
import { toCanonical } from '../../kernel/units/convert';

/** One specimen with what its readings say. */
export type ObservedSpecimen = {
	specimen: Specimen;
	observation: Observed | null;
	byHand: number | null;
	failure: FailureMode | null;
	/** What the load did to it short of breaking; null where nobody said. */
	damage: (typeof DAMAGE_WORDS)[number] | null;
	readings: Reading[];
};

/** Most at which it held and least at which it broke, with what hung there all along counted in. */
function bounds(readings: readonly Reading[], held: string, broke: string, addN: number): { held: number | null; broke: number | null } {
	const of = (quantity: string) => readings.flatMap((r) => (r.quantity === quantity && r.value !== null ? [r.value + addN] : []));
	const heldAt = of(held);
	const brokeAt = of(broke);
	return { held: heldAt.length ? Math.max(...heldAt) : null, broke: brokeAt.length ? Math.min(...brokeAt) : null };
}

/**
 * What the readings of a specimen say of its strength. A bucket that hung from the start is added to every load. Loads in steps give
 * the interval from the last that held to the one that broke; a direct load gives the value to half a step of its display; no break gives a load it survived.
 * One that slipped from its grip did not break: what pulled it out was held.
 * Blows: the k-th blow that broke it lies between k - 1 and k.
 * @example observe(specimen, readings).observation // { low: 88.96, high: 111.2 }
 */
export function observe(specimen: Specimen, readings: readonly Reading[]): ObservedSpecimen {
	const counted = readings.filter((r) => r.specimenId === specimen.id && r.status === 'counts');
	const value = (quantity: string) => counted.filter((r) => r.quantity === quantity).at(-1)?.value ?? null;
	const failureRank = value('failure');
	const failure = failureRank === null ? null : (FAILURE_WORDS[failureRank] ?? null);
	const damageRank = value('damage');
	const byHand = value('byHand');
	return {
		specimen,
		observation: observationOf(specimen, counted, failure === 'slipped', value('bucketMass')),
		byHand,
		failure,
		damage: damageRank === null ? null : (DAMAGE_WORDS[damageRank] ?? null),
		readings: counted
	};
}

/** A step of the display in newtons; a hundredth of the load where a reading has none of its own (common practice, no source). */
function stepOf(counted: readonly Reading[], brokeN: number): number {
	return Math.max(0, ...counted.map((r) => (r.quantity === 'loadBroke' ? (r.resolution ?? 0) : 0))) || brokeN / 100;
}

function observationOf(specimen: Specimen, counted: readonly Reading[], slipped: boolean, bucketG: number | null): Observed | null {
	if (specimen.method === 'byHand') return null;
	const blows = specimen.method === 'blows';
	const addN = blows || bucketG === null ? 0 : toCanonical(bucketG, 'g', 'load');
	const { held, broke } = blows ? bounds(counted, 'blowsHeld', 'blowsBroke', 0) : bounds(counted, 'loadHeld', 'loadBroke', addN);
	if (broke !== null && !slipped) {
		if (specimen.method === 'direct') return readingAs(broke, stepOf(counted, broke));
		return { low: blows ? broke - 1 : Math.min(held ?? 0, broke), high: broke };
	}
	const survived = broke !== null ? broke : held;
	return survived === null ? null : { low: survived, high: null };
}

/**
 * All specimens of a spool that count, with what they say.
 * @example observedSpecimens(evidence).filter((o) => o.observation !== null).length // 5
 */
export function observedSpecimens(evidence: SpoolEvidence): ObservedSpecimen[] {
	return evidence.specimens.filter((s) => s.status === 'counts').map((s) => observe(s, evidence.readings));
}
