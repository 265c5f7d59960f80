import { nominalDiameter } from '$lib/core/claims/nominal';
import type { PrinterAbilities, Protocol, SpoolEvidence } from '$lib/core/evidence';
import { withHouse } from '$lib/core/house/lent-scatter';
import { printerEffects } from '$lib/core/prints/printer-effect';
import { scorerEffects } from '$lib/core/prints/scorer-effect';
import { STATIONS } from '$lib/core/registry';
import { specimenKinds } from '$lib/core/strength/kinds';
import { markPieces } from '$lib/core/pieces/mark-pieces';
import type { Reader } from '../db/client';
import { loadPieces } from '../pieces/load';
import { loadHandbook } from '../handbook/handbook';

type Typed = Omit<Protocol, 'nominalMm' | 'specimenKinds' | 'lent' | 'handbook' | 'markPieces' | 'printerEffects' | 'scorerEffects'> & {
	takeOutPrinter?: boolean;
	takeOutLeniency?: boolean;
};

/**
 * What a trial or spool page is judged by: what was set, and what follows from the spools at hand (nominal diameter, kind of specimen,
 * scatter the house spool lends) and from the handbook.
 */
export async function completeProtocol(
	db: Reader,
	typed: Typed,
	spools: readonly SpoolEvidence[],
	house: SpoolEvidence | null
): Promise<Protocol> {
	const { takeOutPrinter, takeOutLeniency, ...held } = typed;
	const compared = markPieces(typed.pieceIds, await loadPieces(db));
	const leniencies = takeOutLeniency ? scorerEffects(spools) : [];
	const protocol: Protocol = {
		...held,
		markPieces: compared,
		// Scorers first: what a printer adds is told by marks from which they are out.
		scorerEffects: leniencies,
		printerEffects: takeOutPrinter
			? printerEffects(spools, { markPieces: compared, scorerEffects: leniencies }, typed.printer?.name ?? null)
			: [],
		nominalMm: nominalDiameter(spools),
		specimenKinds: specimenKinds(spools),
		lent: [],
		handbook: await loadHandbook(db)
	};
	return withHouse(protocol, house, STATIONS);
}

/** What is known of a printer; null when there is none. */
export function abilitiesOf(printer: PrinterAbilities | null): PrinterAbilities | null {
	if (!printer) return null;
	const { name, hotEndMaxC, hardenedNozzle, enclosed, feedPathMm, throatMm } = printer;
	return { name, hotEndMaxC, hardenedNozzle, enclosed, feedPathMm, throatMm };
}
