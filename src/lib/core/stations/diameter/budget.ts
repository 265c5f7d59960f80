import type { Instrument, InstrumentCheck, InstrumentStudy } from '../../record/evidence/instrument';
import type { SharedPart } from '../../judging/finding/types';
import { rectangularUncertainty } from '../../kernel/stats/combined-uncertainty';

/** Assumed where no instrument was named: a caliper of the common kind (common practice, no source). */
const UNNAMED_CALIPER = { errorLimit: 0.02, resolution: 0.01 };
/** A check this far from the diameter says little of the jaws there (common practice, no source). */
const NEAR_MM = 1;

type BudgetTerm = {
	id: 'errorLimit' | 'reference' | 'checkScatter' | 'step' | 'raters';
	standardUncertaintyMm: number;
};

/** How many readings of a pin make a check worth its name, and how well a common pin is known (common practice, no source). */
const USUAL_CHECK = { n: 10, referenceLimit: 0.002 };

/** Uncertainty budget of one length instrument for one strand. */
export type InstrumentBudget = {
	named: boolean;
	/** Names the error that all strands measured with this instrument, in this state of checking, have in common; null where none was named. */
	source: string | null;
	/** Taken off every reading. */
	biasMm: number;
	/** Scatter of single readings, which more readings average out. */
	repeatabilityMm: number;
	/** What stays the same in all readings, and so does not shrink with more of them. */
	standardUncertaintyMm: number;
	terms: BudgetTerm[];
	largest: BudgetTerm['id'];
	resolutionMm: number;
	check: (InstrumentCheck & { near: boolean }) | null;
	/** The gauge study in force, if there was one. */
	study: InstrumentStudy | null;
};

/**
 * Uncertainty budget of an instrument. Half a step of the display is counted as common too: on an even strand it rounds every reading
 * the same way. Unchecked, its stated error limit (rectangular) stands for the rest, and half a step
 * for the scatter. Checked against a pin or block, the bias found there is taken off and its uncertainty
 * (scatter of the check over n, the reference's own error limit, half a step) replaces the error limit; the check's scatter is the
 * repeatability. A check far from the diameter is not used, and said. A gauge study on real strands may find more scatter than a pin
 * shows; then its own counts, and the difference between raters is one more common term.
 * Source: JCGM 100:2008, 4.3.7, F.2.2.1 and F.2.4.5.
 * @param atMs when the readings were taken: the last check before counts, else the first after
 * @example instrumentBudget(caliper, 1.75, takenAt).largest // 'errorLimit'
 */
export function instrumentBudget(instrument: Instrument | null, nominalMm: number, atMs: number): InstrumentBudget {
	const named = instrument?.errorLimit != null;
	const resolutionMm = instrument?.resolution ?? UNNAMED_CALIPER.resolution;
	const step = rectangularUncertainty(resolutionMm / 2);
	const inForce = recordInForce(instrument?.checks ?? [], atMs);
	const check = inForce && { ...inForce, near: Math.abs(inForce.reference - nominalMm) <= NEAR_MM };
	const source = sourceOf(instrument, check);
	const study = recordInForce(instrument?.studies ?? [], atMs);
	const ofRaters: BudgetTerm[] = study && study.raters > 1 ? [{ id: 'raters', standardUncertaintyMm: study.ratersSd }] : [];
	const leastScatter = Math.max(step, study?.repeatabilitySd ?? 0);
	if (!check?.near) {
		const limit = rectangularUncertainty(instrument?.errorLimit ?? UNNAMED_CALIPER.errorLimit);
		return completed({ named, source, biasMm: 0, repeatabilityMm: leastScatter, resolutionMm, check, study }, [
			{ id: 'errorLimit', standardUncertaintyMm: limit },
			{ id: 'step', standardUncertaintyMm: step },
			...ofRaters
		]);
	}
	// Ten readings that all look alike scatter by what the display hides.
	const checkScatter = Math.max(check.repeatability ?? 0, step);
	const repeatabilityMm = Math.max(checkScatter, leastScatter);
	return completed({ named, source, biasMm: check.bias, repeatabilityMm, resolutionMm, check, study }, [
		{ id: 'reference', standardUncertaintyMm: rectangularUncertainty(check.referenceLimit) },
		{ id: 'checkScatter', standardUncertaintyMm: checkScatter / Math.sqrt(check.n) },
		{ id: 'step', standardUncertaintyMm: step },
		...ofRaters
	]);
}

function completed(
	base: Pick<InstrumentBudget, 'named' | 'source' | 'biasMm' | 'repeatabilityMm' | 'resolutionMm' | 'check' | 'study'>,
	terms: BudgetTerm[]
): InstrumentBudget {
	const largest = terms.reduce((best, t) => (t.standardUncertaintyMm > best.standardUncertaintyMm ? t : best));
	return { ...base, terms, largest: largest.id, standardUncertaintyMm: Math.hypot(...terms.map((t) => t.standardUncertaintyMm)) };
}

/** An instrument and its check in force: strands measured with both the same have the same error in common. */
const sourceOf = (instrument: Instrument | null, check: InstrumentBudget['check']): string | null =>
	instrument && `instrument ${instrument.id} ${check?.near ? check.id : 'unchecked'}`;

/** Terms that are the same for every strand: what the step rounds and who held the caliper are not. */
const COMMON_TO_ALL: readonly BudgetTerm['id'][] = ['errorLimit', 'reference', 'checkScatter'];

/**
 * The instrument's uncertainty in two parts: what all strands measured with it have in common, and what each has for itself.
 * @returns mm; all of it each strand's own where no instrument was named, for it may have been another
 * @example partsOfBudget(budget).sharedMm // 0.0115
 */
export function partsOfBudget({ terms, source }: InstrumentBudget): { sharedMm: number; ownMm: number } {
	const of = (common: boolean) =>
		Math.hypot(0, ...terms.filter((t) => (source !== null && COMMON_TO_ALL.includes(t.id)) === common).map((t) => t.standardUncertaintyMm));
	return { sharedMm: of(true), ownMm: of(false) };
}

/**
 * The instrument's common error as an error that spools share; none where it has no name.
 * @param sd in the unit of the finding
 * @example sharedParts('instrument i1 unchecked', 0.0115) // [{ source: 'instrument i1 unchecked', sd: 0.0115 }]
 */
export const sharedParts = (source: string | null, sd: number): SharedPart[] => (source === null || sd === 0 ? [] : [{ source, sd }]);

/**
 * The check or study that counts for readings taken at a moment: the last one before, else the first after.
 * @example recordInForce(checks, takenAt)?.bias // 0.01
 */
export function recordInForce<T extends { at: number }>(records: readonly T[], atMs: number): T | null {
	const ordered = [...records].sort((a, b) => a.at - b.at);
	return ordered.filter((c) => c.at <= atMs).at(-1) ?? ordered[0] ?? null;
}

/**
 * The uncertainty the same instrument would have after an ordinary check: ten readings of a pin that is known to 0.002 mm.
 * @returns mm
 * @example checkedUncertainty(0.01) // 0.0032 mm
 */
export function checkedUncertainty(resolutionMm: number): number {
	const step = rectangularUncertainty(resolutionMm / 2);
	return Math.hypot(step, step / Math.sqrt(USUAL_CHECK.n), rectangularUncertainty(USUAL_CHECK.referenceLimit));
}
