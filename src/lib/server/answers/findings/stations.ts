import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { Basis } from '$lib/core/judging/trial/basis';
import type { Finding } from '$lib/core/judging/finding/types';
import { remembering } from '$lib/core/kernel/memo/remember';
import { STATIONS } from '$lib/core/joins/registry';
import { letOthersIn, turns } from '../../base/polite/let-others-in';
import type { Station } from '$lib/core/judging/station/station';

/** Findings live as long as the evidence they were computed from, which the evidence cache drops when it changes. */
const found = new WeakMap<SpoolEvidence, Map<string, Finding[]>>();

/** A basis carries the handbook, so its text is long: bases of the same text share a number. */
const numbers = new WeakMap<Basis, number>();
const numberOfText = remembering<string, number>(200);
let last = 0;

export function basisKey(basis: Basis): number {
	let number = numbers.get(basis);
	if (number === undefined) {
		number = numberOfText(JSON.stringify(basis), () => ++last);
		numbers.set(basis, number);
	}
	return number;
}

function rememberingStation(station: Station): Station {
	return {
		...station,
		find(evidence: SpoolEvidence, basis: Basis): Finding[] {
			const key = `${station.id} ${basisKey(basis)}`;
			const known = found.get(evidence) ?? new Map<string, Finding[]>();
			found.set(evidence, known);
			let findings = known.get(key);
			if (!findings) {
				findings = station.find(evidence, basis);
				known.set(key, findings);
			}
			return findings;
		}
	};
}

/** The registry's stations, each computing a finding once for the same evidence and basis. */
export const REMEMBERING_STATIONS: readonly Station[] = STATIONS.map(rememberingStation);

/** What one station finds of a spool. */
export const foundBy = (station: Station['id'], evidence: SpoolEvidence, basis: Basis): Finding[] =>
	REMEMBERING_STATIONS.filter((s) => s.id === station).flatMap((s) => s.find(evidence, basis));

/** Calibrations of a spool: what a print may be set by, and what two colours are compared by. */
export const calibrationsOf = (evidence: SpoolEvidence, basis: Basis): Finding[] => foundBy('calibration', evidence, basis);

/**
 * Works out the findings of spools one after the other and lets others in between, so that what is made of them at once afterwards is made
 * of findings that are known.
 */
export async function giveWay(spools: readonly SpoolEvidence[], basis: Basis): Promise<void> {
	const turn = turns();
	for (const evidence of spools)
		for (const station of REMEMBERING_STATIONS) {
			station.find(evidence, basis);
			if (turn.over()) await letOthersIn();
		}
}
