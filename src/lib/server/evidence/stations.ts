import type { Protocol, SpoolEvidence } from '$lib/core/evidence';
import type { Finding } from '$lib/core/finding/types';
import { STATIONS } from '$lib/core/registry';
import type { Station } from '$lib/core/station';

/** Findings live as long as the evidence they were computed from, which the evidence cache drops when it changes. */
const found = new WeakMap<SpoolEvidence, Map<string, Finding[]>>();

/** A protocol carries the handbook: it is put into words once, not once a spool and station. */
const keys = new WeakMap<Protocol, string>();

export function protocolKey(protocol: Protocol): string {
	let key = keys.get(protocol);
	if (key === undefined) {
		key = JSON.stringify(protocol);
		keys.set(protocol, key);
	}
	return key;
}

function remembering(station: Station): Station {
	return {
		...station,
		find(evidence: SpoolEvidence, protocol: Protocol, now: number): Finding[] {
			const key = `${station.id} ${protocolKey(protocol)}`;
			const known = found.get(evidence) ?? new Map<string, Finding[]>();
			found.set(evidence, known);
			let findings = known.get(key);
			if (!findings) {
				findings = station.find(evidence, protocol, now);
				known.set(key, findings);
			}
			return findings;
		}
	};
}

/** The registry's stations, each computing a finding once for the same evidence and protocol. */
export const REMEMBERING_STATIONS: readonly Station[] = STATIONS.map(remembering);
