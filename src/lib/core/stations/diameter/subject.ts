import type { LoggedStrand } from '../../record/evidence/log';
import type { Reading } from '../../record/evidence/reading';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import { EMPTY_CONTEXT } from '../../judging/finding/make-finding';
import type { FindingContext, Missing } from '../../judging/finding/types';
import { instrumentBudget } from './budget';
import { toleranceClaims, type ToleranceClaim } from './claims';
import { judgeClaim, type JudgedClaim } from './judge-claim';
import { placesOfLog, strandOfLog } from './strand-of-log';
import type { PlaceReadings, Strand } from './strand';
import { diameterReadings, instrumentById, instrumentOf, strandOfReadings, type ReadStrand } from './strand-of-readings';

/** What all findings of the station are about: the strand of one spool with what is claimed of it. */
export type StrandSubject = {
	evidence: SpoolEvidence;
	basis: Basis;
	nominalMm: number;
	claims: ToleranceClaim[];
	/** Each claim judged once for all findings; empty while there is no strand. */
	judged: JudgedClaim[];
	read: ReadStrand | null;
	/** The log that counts; null while there is none. */
	log: LoggedStrand | null;
	strand: Strand | null;
	places: PlaceReadings[];
	/** Parts that every finding of the station shares. */
	common: {
		subject: { spoolId: string };
		context: FindingContext;
		inputs: { used: string[]; excluded: string[]; revision: number };
		missing: Missing[];
	};
};

/**
 * Gathers what the findings of one spool's strand need.
 * @example strandSubject(evidence, basis).strand?.n // 10
 */
export function strandSubject(evidence: SpoolEvidence, basis: Basis): StrandSubject {
	const { nominalMm, claims } = toleranceClaims(evidence, basis);
	const read = strandOfReadings(evidence, nominalMm);
	const { counted: all, excluded } = diameterReadings(evidence);
	// A gauge that saw the whole length speaks before single readings; they stay on record beside it.
	const log = evidence.logs.filter((l) => l.status === 'counts').at(-1) ?? null;
	const counted = log ? [] : (read?.counted ?? []);
	const logged = log && strandOfLog(log.summary, instrumentBudget(instrumentById(evidence, log.instrumentId), nominalMm, log.at));
	const strand = logged ?? read?.strand ?? null;
	return {
		evidence,
		basis,
		nominalMm,
		claims,
		read,
		log,
		strand,
		judged: strand ? claims.map((claim) => judgeClaim(basis.claimRule, strand, claim)) : [],
		places: log && logged ? placesOfLog(log.summary, logged.budget.biasMm) : (read?.places ?? []),
		common: {
			subject: { spoolId: evidence.spool.id },
			context: contextOf(evidence, counted, log),
			inputs: { used: log ? [log.id] : counted.map((r) => r.id), excluded, revision: evidence.spool.revision },
			missing: log ? [] : missingReadings(all.length, basis)
		}
	};
}

/** With what, when and of which lot the strand was measured. */
function contextOf(evidence: SpoolEvidence, counted: readonly Reading[], log: LoggedStrand | null): FindingContext {
	const times = log ? [log.at] : counted.map((r) => r.takenAt);
	const names = log
		? [instrumentById(evidence, log.instrumentId)?.name ?? 'unnamed']
		: counted.map((r) => instrumentOf(evidence, r)?.name ?? 'unnamed');
	return {
		...EMPTY_CONTEXT,
		lots: evidence.spool.lot ? [evidence.spool.lot] : [],
		instruments: [...new Set(names)],
		from: times.length ? Math.min(...times) : null,
		to: times.length ? Math.max(...times) : null
	};
}

/** What the quick check still wants. */
function missingReadings(count: number, basis: Basis): Missing[] {
	const wanted = basis.diameterPlaces * basis.diameterDirections - count;
	if (wanted <= 0) return [];
	return [{ action: 'measureDiameter', station: 'diameter', count: wanted, minutes: Math.ceil(wanted / 4), params: {} }];
}
