import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import type { QuantityDef } from '../../judging/finding/types';
import { selectFindings } from '../sheet/select';
import type { Station } from '../../judging/station/station';
import { rankedFinding } from './ranked-finding';
import type { Candidate } from './types';

/**
 * The candidates of a pick from evidence: for every quantity of every station the finding that counts under the basis.
 * @example candidatesFrom({ spools: [], basis, stations: STATIONS }).candidates // []
 */
export function candidatesFrom(given: { spools: readonly SpoolEvidence[]; basis: Basis; stations: readonly Station[] }): {
	candidates: Candidate[];
	defs: QuantityDef[];
} {
	const { spools, basis, stations } = given;
	const defs = stations.flatMap((s) => s.quantities(basis));
	const candidates = spools.map((evidence): Candidate => {
		const all = stations.flatMap((s) => s.find(evidence, basis));
		return {
			spoolId: evidence.spool.id,
			code: evidence.spool.code,
			findings: Object.fromEntries(defs.map((def) => [def.id, rankedFinding(selectFindings(all, def.id, basis)[0])]))
		};
	});
	return { candidates, defs };
}
