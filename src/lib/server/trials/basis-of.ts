import { nominalDiameter } from '$lib/core/claims/nominal';
import type { SpoolEvidence } from '$lib/core/evidence/spool-evidence';
import type { Basis } from '$lib/core/trial/basis';
import type { Protocol } from '$lib/core/trial/protocol';
import type { WorkedOut } from '$lib/core/trial/worked-out';
import type { PrinterAbilities } from '$lib/core/trial/bench-facts';
import { withHouse } from '$lib/core/house/borrowed-scatter';
import { printerEffects } from '$lib/core/prints/printer-effect';
import { scorerEffects } from '$lib/core/prints/scorer-effect';
import { STATIONS } from '$lib/core/registry';
import { specimenKinds } from '$lib/core/strength/kinds';
import { markPieces } from '$lib/core/pieces/mark-pieces';
import type { Reader } from '../db/client';
import { loadPieces } from '../pieces/load';
import { loadHandbook } from '../handbook/handbook';

/** What was set, as it is read from the record. */
type AsSet = Protocol & { printer: PrinterAbilities | null; takeOutPrinter?: boolean; takeOutLeniency?: boolean };

/**
 * What a trial or spool page is judged by: what was set, and what follows from the spools at hand (nominal diameter, kind of specimen,
 * scatter the house spool lends) and from the handbook.
 */
export async function basisOf(db: Reader, set: AsSet, spools: readonly SpoolEvidence[], house: SpoolEvidence | null): Promise<Basis> {
	const { takeOutPrinter, takeOutLeniency, ...protocol } = set;
	const compared = markPieces(protocol.pieceIds, await loadPieces(db));
	// Scorers first: what a printer adds is told by marks from which they are out.
	const leniencies = takeOutLeniency ? scorerEffects(spools) : [];
	const worked: WorkedOut = {
		nominalMm: nominalDiameter(spools),
		markPieces: compared,
		specimenKinds: specimenKinds(spools),
		scorerEffects: leniencies,
		printerEffects: takeOutPrinter
			? printerEffects(spools, { markPieces: compared, scorerEffects: leniencies }, protocol.printer?.name ?? null)
			: [],
		borrowed: []
	};
	return withHouse({ ...protocol, ...worked, handbook: await loadHandbook(db) }, house, STATIONS);
}

/** What is known of a printer; null when there is none. */
export function abilitiesOf(printer: PrinterAbilities | null): PrinterAbilities | null {
	if (!printer) return null;
	const { name, hotEndMaxC, hardenedNozzle, enclosed, feedPathMm, throatMm } = printer;
	return { name, hotEndMaxC, hardenedNozzle, enclosed, feedPathMm, throatMm };
}
