import type { Protocol, SpoolEvidence } from '$lib/core/evidence';
import type { Finding } from '$lib/core/finding/types';
import { STATIONS } from '$lib/core/registry';
import type { Station } from '$lib/core/station';

/** Findings live as long as the evidence they were computed from, which the evidence cache drops when it changes. */
const found = new WeakMap<SpoolEvidence, Map<string, Finding[]>>();

/** A protocol carries the handbook, so its text is long: protocols of the same text share a number. */
const numbers = new WeakMap<Protocol, number>();
const numberOfText = new Map<string, number>();
const MOST_TEXTS = 200;
let last = 0;

export function protocolKey(protocol: Protocol): number {
	let number = numbers.get(protocol);
	if (number === undefined) {
		const text = JSON.stringify(protocol);
		number = numberOfText.get(text) ?? ++last;
		numberOfText.delete(text);
		if (numberOfText.size >= MOST_TEXTS) numberOfText.delete(numberOfText.keys().next().value ?? '');
		numberOfText.set(text, number);
		numbers.set(protocol, number);
	}
	return number;
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
