import { nominalDiameter } from '$lib/core/record/claims/nominal';
import type { Piece } from '$lib/core/record/evidence/piece';
import type { SpecimenMeasure } from '$lib/core/record/evidence/specimen';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { Basis } from '$lib/core/judging/trial/basis';
import type { Protocol } from '$lib/core/judging/trial/protocol';
import type { WorkedOut } from '$lib/core/judging/trial/worked-out';
import type { PrinterAbilities } from '$lib/core/judging/trial/bench-facts';
import { costReference } from '$lib/core/stations/cost/reference';
import { materialClass } from '$lib/core/judging/handbook/material-class';
import type { MaterialFigures } from '$lib/core/judging/handbook/figures';
import type { PriorSet } from '$lib/core/judging/posterior/prior-set';
import { pieceEffects } from '$lib/core/stations/prints/marks/piece-effect';
import { printerEffects, unbridgedPrinters } from '$lib/core/stations/prints/marks/printer-effect';
import { scorerEffects, unbridgedScorers } from '$lib/core/stations/prints/marks/scorer-effect';
import { loadUnitOf } from '$lib/core/record/readings/load-unit';
import { specimenKinds } from '$lib/core/stations/strength/kinds';
import { numberOf, remembering } from '$lib/core/kernel/memo/remember';
import { markPieces } from '$lib/core/judging/pieces/library/mark-pieces';

/** What was set, as it is read from the record. */
type AsSet = Protocol & {
	printer: PrinterAbilities | null;
	takeOutPrinter?: boolean;
	takeOutLeniency?: boolean;
	/** The price that others are weighed against, once it is frozen with the rules. */
	costReference?: number | null;
	/** Kinds of specimen that were chosen by hand. */
	chosenKinds?: Partial<Record<SpecimenMeasure, string>>;
};

/** Spools that are judged together: the candidates choose what is compared, a house spool only stands beside them. */
type Judged = { candidates: readonly SpoolEvidence[]; house: SpoolEvidence | null; beside: readonly SpoolEvidence[] };

/**
 * What a trial or spool page is judged by: what was set, and what follows from the spools at hand (nominal diameter, kind of specimen,
 * price that others are weighed against), from the handbook and from what the record has taught.
 */
export function basisOf(set: AsSet, judged: Judged, record: FromRecord): Basis {
	const spools = [...judged.candidates, null, judged.house, null, ...judged.beside].map((e) => (e ? numberOf(e) : 0));
	const compared = markPieces(set.pieceIds, record.pieces);
	const key = `${spools.join(' ')} ${numberOf(record.priors)} ${JSON.stringify([set, compared, record.handbook])}`;
	return known(key, () => workedOut(set, judged, { ...record, compared }));
}

/** What of the whole record plays a part. */
type FromRecord = { pieces: readonly Piece[]; handbook: MaterialFigures[]; priors: PriorSet };

/** Bases of trials that are looked at now. */
const known = remembering<string, Basis>(16);

function workedOut(set: AsSet, judged: Judged, { compared, handbook, priors }: FromRecord & { compared: Basis['markPieces'] }): Basis {
	const { takeOutPrinter, takeOutLeniency, costReference: frozen, chosenKinds = {}, ...protocol } = set;
	const { candidates, house, beside: spools } = judged;
	const choosing = candidates.length > 0 ? candidates : spools;
	// Scorers first: what a printer adds is told by marks from which they are out.
	const leniencies = takeOutLeniency ? scorerEffects(spools) : [];
	const worked: WorkedOut = {
		nominalMm: nominalDiameter(choosing),
		markPieces: compared,
		specimenKinds: specimenKinds(choosing, chosenKinds),
		chosenKinds,
		scorerEffects: leniencies,
		unbridged: [
			...unbridgedScorers(spools),
			...unbridgedPrinters(spools, { markPieces: compared, scorerEffects: leniencies }, protocol.printer?.name ?? null)
		],
		printerEffects: takeOutPrinter
			? printerEffects(spools, { markPieces: compared, scorerEffects: leniencies }, protocol.printer?.name ?? null)
			: [],
		pieceEffects: [],
		loadUnit: loadUnitOf(choosing),
		costReference:
			frozen ??
			costReference(
				candidates.filter((c) => c !== house),
				houseOf(candidates, house, handbook),
				protocol
			)
	};
	const basis = { ...protocol, ...worked, handbook, priors };
	return { ...basis, pieceEffects: pieceEffects(spools, basis) };
}

/** The house spool where it is of the same material as some candidate: what one pays for another material today says nothing here. */
function houseOf(candidates: readonly SpoolEvidence[], house: SpoolEvidence | null, handbook: MaterialFigures[]): SpoolEvidence | null {
	const classOf = ({ spool }: SpoolEvidence) => materialClass(spool.material, handbook);
	return house && candidates.some((c) => classOf(c) === classOf(house)) ? house : null;
}
