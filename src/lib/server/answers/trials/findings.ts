import { candidatesFrom } from '$lib/core/answers/pick/candidates';
import { askedFor, measuredOn, pickInput } from '$lib/core/answers/pick/families';
import { goodForParts, type GoodForPart } from '$lib/core/answers/pick/good-for';
import { explain } from '$lib/core/answers/pick/explain';
import { blocksOf, pickFrom } from '$lib/core/answers/pick/pick-from';
import { PICK_DRAWS, PICK_SEED, QUICK_DRAWS } from '$lib/core/answers/pick/seed';
import type { PickInput } from '$lib/core/answers/pick/types';
import type { Missing } from '$lib/core/judging/finding/types';
import { buildSheet, type Sheet } from '$lib/core/answers/sheet/build-sheet';
import { shownSheet, type ShownSheet } from '$lib/core/answers/sheet/shown-sheet';
import { share, shareCandidates } from '$lib/schemas/shared-text';
import { REMEMBERING_STATIONS } from '../findings/stations';
import { remembered } from './remembered';
import type { TrialWhole } from './load';

/** The trial sheet of a loaded trial. */
export function sheetOf(whole: TrialWhole): Sheet {
	return remembered(whole, `sheet ${JSON.stringify(whole.criteria)}`, () => {
		const { candidates, defs } = measuredOf(whole);
		const { weights, away } = askedFor(whole.criteria, defs, measuredOn(candidates));
		return buildSheet({ spools: whole.spools, basis: whole.basis, stations: REMEMBERING_STATIONS, weights, away });
	});
}

/** The sheet as its page shows it. */
export const shownSheetOf = (whole: TrialWhole): ShownSheet => {
	const sheet = sheetOf(whole);
	const known = shown.get(sheet) ?? share(shownSheet(sheet));
	shown.set(sheet, known);
	return known;
};
const shown = new WeakMap<Sheet, ShownSheet>();

/** What a station still wants of each spool, in the order of the trial. */
export const wantedOf = (whole: TrialWhole, station: string): (Missing | null)[] =>
	sheetOf(whole).rows.map((row) => row.missing.find((m) => m.station === station) ?? null);

/** What was found of every spool, for every quantity. */
const measuredOf = (whole: TrialWhole): Pick<PickInput, 'candidates' | 'defs'> =>
	remembered(whole, 'candidates', () => {
		const from = candidatesFrom({ spools: whole.spools, basis: whole.basis, stations: REMEMBERING_STATIONS });
		return { candidates: shareCandidates(from.candidates), defs: from.defs };
	});

/** What the pick is computed from: candidates with findings, criteria and definitions. */
export function pickInputOf(whole: TrialWhole): PickInput {
	const references = whole.spools.map((s) => s.spool.id).filter((id) => whole.roles[id] === 'house');
	return pickInput(measuredOf(whole), whole.criteria, whole.head.valueRule, references);
}

/** What each spool is good for, kind of test part by kind of test part. */
export const partsOf = (whole: TrialWhole): GoodForPart[] =>
	remembered(whole, 'parts', () => {
		const stations = REMEMBERING_STATIONS.filter((s) => s.id === 'strength');
		const found = whole.spools.flatMap((evidence) => stations.flatMap((s) => s.find(evidence, whole.basis)));
		return goodForParts(
			found,
			stations.flatMap((s) => s.quantities(whole.basis))
		);
	});

/** With more spools than these all draws take a good part of a second. */
const FEW_SPOOLS = 12;

/** @param look `first` where the page draws the rest in its worker, or shows many trials at once */
export function pickOf(whole: TrialWhole, look: 'first' | 'whole' = 'whole') {
	const input = pickInputOf(whole);
	const draws = look === 'first' && input.candidates.length > FEW_SPOOLS ? QUICK_DRAWS : PICK_DRAWS;
	const { rows, references, chances } = remembered(
		whole,
		`pick ${draws} ${JSON.stringify([input.criteria, input.rule, input.references ?? []])}`,
		() => pickFrom(input, blocksOf(input, draws, PICK_SEED))
	);
	return { rule: input.rule, rows, references, explanation: explain(input, rows), chances };
}

/** Who stands first; nobody where none passes. */
export function firstPlaceOf(whole: TrialWhole): string | null {
	const [first] = pickOf(whole, 'first').rows;
	return first?.eligible && !first.neverFinished ? first.spoolId : null;
}
