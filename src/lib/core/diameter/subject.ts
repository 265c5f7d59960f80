import type { Protocol, SpoolEvidence } from '../evidence';
import { EMPTY_CONTEXT } from '../finding/make-finding';
import type { FindingContext, Missing } from '../finding/types';
import { toleranceClaims, type ToleranceClaim } from './claims';
import type { PlaceReadings, Strand } from './strand';
import { diameterReadings, instrumentOf, strandOfReadings, type ReadStrand } from './strand-of-readings';

/** What all findings of the station are about: the strand of one spool with what is claimed of it. */
export type StrandSubject = {
	evidence: SpoolEvidence;
	protocol: Protocol;
	nominalMm: number;
	claims: ToleranceClaim[];
	read: ReadStrand | null;
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
 * @example strandSubject(evidence, protocol).strand?.n // 10
 */
export function strandSubject(evidence: SpoolEvidence, protocol: Protocol): StrandSubject {
	const { nominalMm, claims } = toleranceClaims(evidence, protocol);
	const read = strandOfReadings(evidence, nominalMm);
	const { counted: all, excluded } = diameterReadings(evidence);
	const counted = read?.counted ?? [];
	const times = counted.map((r) => r.takenAt);
	return {
		evidence,
		protocol,
		nominalMm,
		claims,
		read,
		strand: read?.strand ?? null,
		places: read?.places ?? [],
		common: {
			subject: { spoolId: evidence.spool.id },
			context: {
				...EMPTY_CONTEXT,
				lots: evidence.spool.lot ? [evidence.spool.lot] : [],
				instruments: [...new Set(counted.map((r) => instrumentOf(evidence, r)?.name ?? 'unnamed'))],
				from: times.length ? Math.min(...times) : null,
				to: times.length ? Math.max(...times) : null
			},
			inputs: { used: counted.map((r) => r.id), excluded, revision: evidence.spool.revision },
			missing: missingReadings(all.length, protocol)
		}
	};
}

/** What the quick check still wants. */
function missingReadings(count: number, protocol: Protocol): Missing[] {
	const wanted = protocol.diameterPlaces * protocol.diameterDirections - count;
	if (wanted <= 0) return [];
	return [{ action: 'measureDiameter', station: 'diameter', count: wanted, minutes: Math.ceil(wanted / 4), params: { count: wanted } }];
}
