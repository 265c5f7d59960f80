import type { Reading } from '$lib/core/evidence/reading';
import { SURFACE_FAULTS } from '$lib/core/readings/quantities';
import { FAULT_WORDS } from './scoring';

const NAMES: Record<string, string> = {
	overhangLastClean: 'overhang clean to',
	overhangFirstFaulty: 'faulty from',
	overhangAwayLastClean: 'away from the fan clean to',
	overhangAwayFirstFaulty: 'faulty from',
	bridgeLongestClean: 'bridge clean to',
	bridgeFirstFaulty: 'loose from',
	bridgeSag: 'bridge sag',
	strings: 'strings',
	stringCount: 'strands counted',
	stringCoverage: 'string cover on a photograph, %',
	photoStrings: 'strands on a photograph',
	photoQuality: 'photograph',
	cleanFrom: 'floors clean from',
	cleanTo: 'to',
	loadEffort: 'loading',
	cornerLift: 'corner lift',
	smallestText: 'smallest text',
	sizeX: 'size X',
	sizeY: 'size Y',
	sizeZ: 'size Z',
	bedHold: 'bed',
	supportRemoval: 'supports',
	printOdour: 'odour',
	own: 'own measure'
};

/** The name of a mark as it stands before its value. */
export const markName = (quantity: string): string => NAMES[quantity] ?? FAULT_WORDS[quantity]?.name ?? quantity;

const isFault = (quantity: string) => (SURFACE_FAULTS as readonly string[]).includes(quantity);

/**
 * The marks of one print by who gave them, as they are worth reading: faults that were not seen are left out.
 * @example marksByScorer(readings)[0] // { scorer: 'Mira', marks: [...], cleanSurface: true }
 */
export function marksByScorer(readings: readonly Reading[]): { scorer: string | null; marks: Reading[]; cleanSurface: boolean }[] {
	const scorers = [...new Set(readings.map((r) => r.scorer))];
	return scorers.map((scorer) => {
		const given = readings.filter((r) => r.scorer === scorer);
		const faults = given.filter((r) => isFault(r.quantity) && r.status === 'counts');
		return {
			scorer,
			marks: given.filter((r) => !isFault(r.quantity) || r.value !== 0 || r.corrected),
			cleanSurface: faults.length > 0 && faults.every((r) => r.value === 0)
		};
	});
}
