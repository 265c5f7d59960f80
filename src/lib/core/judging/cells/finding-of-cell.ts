import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Message } from '../finding/message';
import type { Finding, SharedPart } from '../finding/types';
import { materialClass } from '../handbook/material-class';
import type { Basis } from '../trial/basis';
import { expectedOf, findCell } from '../posterior/find-cell';
import type { MarkModel } from '../posterior/model';
import { priorOf } from '../posterior/prior-set';
import type { Observed } from '../posterior/scale';

type Given = {
	evidence: SpoolEvidence;
	basis: Pick<Basis, 'handbook' | 'priors'>;
	quantity: string;
	/** Kind of piece or test part; null where there is none. */
	kind: string | null;
	model: MarkModel;
	/** In the unit of the quantity. */
	observed: readonly Observed[];
	shared?: readonly SharedPart[];
	/** Said where nothing was observed. */
	none: Message;
};

type CellParts = Pick<Finding, 'estimate' | 'n' | 'interval' | 'sampling' | 'shared' | 'method' | 'source' | 'priorSet'>;

/**
 * The parts of a finding that come out of one cell, with the prior of the record; and by how many cells of the record that is known (0:
 * assumed). Every mark, word, count, load and own measure goes through here.
 * @example findingOfCell({ evidence, basis, quantity: 'overhang', kind: 'ladder', model, observed, none: say('noMarks') }).parts.n // 1
 */
export function findingOfCell({ evidence, basis, quantity, kind, model, observed, shared = [], none }: Given): {
	parts: CellParts;
	cells: number;
} {
	const prior = priorOf(basis.priors, { quantity, kind, material: materialClass(evidence.spool.material, basis.handbook) }, model.assumed);
	const found = findCell(observed, model, prior, shared);
	return {
		cells: prior.cells,
		parts: {
			...(found ?? {
				estimate: null,
				n: 0,
				interval: null,
				sampling: { kind: 'unknown', reason: none, expected: expectedOf(model, prior) },
				shared: []
			}),
			method: 'posterior',
			source: 'interval-censored normal law, priors of the record (docs/methods/posterior.md)',
			priorSet: basis.priors.number
		}
	};
}
