import type { SpoolEvidence } from '$lib/core/evidence';

/** The part of the evidence one station's page needs, so that a page carries no more than it shows. */
export function onlyStation(evidence: SpoolEvidence, station: string): SpoolEvidence {
	const prints = station === 'prints';
	return {
		...evidence,
		readings: evidence.readings.filter((r) => r.station === station),
		attempts: prints ? evidence.attempts : [],
		events: prints ? evidence.events : [],
		quotes: station === 'cost' ? evidence.quotes : []
	};
}
