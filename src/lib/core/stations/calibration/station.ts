import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { EMPTY_CONTEXT, makeFinding } from '../../judging/finding/make-finding';
import { say } from '../../judging/finding/message';
import type { Finding } from '../../judging/finding/types';
import { materialClass } from '../../judging/handbook/material-class';
import { findingOfCell } from '../../judging/cells/finding-of-cell';
import { modelOf, type MarkModel } from '../../judging/posterior/model';
import { readingAs } from '../../judging/posterior/observed';
import type { Observed } from '../../judging/posterior/scale';
import type { RecordCell } from '../../judging/posterior/record-cell';
import type { Station } from '../../judging/station/station';
import type { Basis } from '../../judging/trial/basis';
import { CALIBRATED } from './quantities';

type Calibrated = (typeof CALIBRATED)[number];

/** Calibrations of a spool: told and compared, never asked for by a trial. */
export const calibrationStation: Station = {
	id: 'calibration',
	invited: true,
	quantities: () => CALIBRATED.map((c) => c.def),
	find: (evidence, basis) => CALIBRATED.flatMap((of) => findCalibration(evidence, basis, of)),
	cells: (evidence, basis) => CALIBRATED.flatMap((of) => cellsOf(evidence, basis, of)),
	next: () => []
};

/** A calibration repeats better than a mark: its scatter is its own, and the rest as of any length. */
function modelled({ def, scatter }: Calibrated): MarkModel {
	const model = modelOf(def, 'plain');
	return { ...model, assumed: { ...model.assumed, scatter: { ...model.assumed.scatter, sd: scatter } } };
}

const readingsOf = ({ readings }: SpoolEvidence, { def }: Calibrated) =>
	readings.flatMap((r) => (r.quantity === def.id && r.value !== null ? [{ ...r, value: r.value }] : []));

const observedOf = (counted: ReturnType<typeof readingsOf>, { def }: Calibrated): Observed[] =>
	counted.map((r) => readingAs(r.value, r.resolution ?? def.differenceThatMatters / 100));

function cellsOf(evidence: SpoolEvidence, basis: Basis, of: Calibrated): RecordCell[] {
	const counted = readingsOf(evidence, of).filter((r) => r.status === 'counts');
	if (counted.length === 0) return [];
	const material = materialClass(evidence.spool.material, basis.handbook);
	return [{ quantity: of.def.id, kind: null, material, model: modelled(of), observed: observedOf(counted, of) }];
}

/** Nothing where it was not calibrated: it is no gap. */
function findCalibration(evidence: SpoolEvidence, basis: Basis, of: Calibrated): Finding[] {
	const all = readingsOf(evidence, of);
	if (all.length === 0) return [];
	const counted = all.filter((r) => r.status === 'counts');
	const { parts, cells } = findingOfCell({
		evidence,
		basis,
		quantity: of.def.id,
		kind: null,
		model: modelled(of),
		observed: observedOf(counted, of),
		none: say('noReadings')
	});
	return [
		makeFinding(of.def, {
			...parts,
			subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
			context: EMPTY_CONTEXT,
			inputs: {
				used: counted.map((r) => r.id),
				excluded: all.filter((r) => r.status === 'excluded').map((r) => r.id),
				revision: evidence.spool.revision
			},
			messages: parts.n === 1 ? [say('oneReading', { cells })] : [],
			figure: { kind: 'dot', points: counted.map((r) => r.value) }
		})
	];
}
