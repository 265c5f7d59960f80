import type { SpoolEvidence } from '$lib/core/evidence';

/** The part of the evidence one station's page needs, so that a page carries no more than it shows. */
export function onlyStation(evidence: SpoolEvidence, station: string): SpoolEvidence {
	const prints = station === 'prints';
	// Water is counted between prints and dryings, so the two stations of water see both.
	const water = station === 'moisture' || station === 'drying';
	// An own measure taken from a print is looked at with it.
	const ofPrint = (r: SpoolEvidence['readings'][number]) => prints && r.station === 'own' && r.attemptId !== null;
	const masses = (quantity: string) => quantity === 'grossMass' || quantity === 'tareMass';
	return {
		...evidence,
		readings: evidence.readings.filter((r) => (water ? masses(r.quantity) : r.station === station || ofPrint(r))),
		attempts: prints || water ? evidence.attempts : [],
		specimens: station === 'strength' ? evidence.specimens : [],
		logs: station === 'diameter' ? evidence.logs : [],
		events: prints || water ? evidence.events : [],
		quotes: station === 'cost' ? evidence.quotes : []
	};
}
