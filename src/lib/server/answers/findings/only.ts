import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import { shareEvidence } from '$lib/schemas/shared-text';

/** The part of the evidence one station's page needs, so that a page carries no more than it shows. */
export function onlyStation(evidence: SpoolEvidence, station: string): SpoolEvidence {
	const made = parts.get(evidence) ?? new Map<string, SpoolEvidence>();
	parts.set(evidence, made);
	const part = made.get(station) ?? shareEvidence(partOf(evidence, station));
	made.set(station, part);
	return part;
}

/** A station's evidence without what there may be thousands of; a page fetches that when a spool is looked at. */
export function lightEvidence(evidence: SpoolEvidence, station: string): SpoolEvidence {
	const whole = onlyStation(evidence, station);
	const light = lights.get(whole) ?? shareEvidence({ ...whole, readings: [], logs: [] });
	lights.set(whole, light);
	return light;
}

/** Parts live as long as the evidence they are of, which the evidence cache drops when it changes. */
const parts = new WeakMap<SpoolEvidence, Map<string, SpoolEvidence>>();
const lights = new WeakMap<SpoolEvidence, SpoolEvidence>();

function partOf(evidence: SpoolEvidence, station: string): SpoolEvidence {
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
