import { say } from '../../judging/finding/message';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import { EMPTY_CONTEXT, makeFinding } from '../../judging/finding/make-finding';
import type { Finding, QuantityDef } from '../../judging/finding/types';
import type { Station } from '../../judging/station/station';
import { demandsOf } from './demands';
import { materialOf } from '../../judging/handbook/material-of';

/** Where the material softens, by the handbook: for gates ("must not go soft in the sun"). Not measured. */
const softening: QuantityDef = {
	id: 'softening',
	station: 'handbook',
	unit: '°C',
	direction: 'more',
	target: null,
	scale: { low: 40, high: 150 },
	prior: { low: 45, high: 110 },
	differenceThatMatters: 10,
	figure: 'dot',
	onSheet: false,
	family: null
};

/** Demands of the material that the trial's printer does not meet. */
const demandsUnmet: QuantityDef = {
	id: 'demandsUnmet',
	station: 'handbook',
	unit: '',
	direction: 'less',
	target: null,
	scale: { low: 0, high: 3 },
	prior: { low: 0, high: 1 },
	differenceThatMatters: 1,
	figure: 'none',
	onSheet: false,
	family: null
};

export const handbookStation: Station = {
	id: 'handbook',
	invited: true,
	quantities: () => [softening, demandsUnmet],
	find: (evidence, basis) => [findSoftening(evidence, basis), findDemands(evidence, basis)],
	next: () => []
};

const inputsOf = (evidence: SpoolEvidence) => ({ used: [], excluded: [], revision: evidence.spool.revision });

/** A figure out of a book: bounds, n 0, and said so. */
function findSoftening(evidence: SpoolEvidence, basis: Basis): Finding {
	const figure = materialOf(evidence.spool.material, basis.handbook)?.softeningC ?? null;
	const common = { subject: { spoolId: evidence.spool.id }, method: 'handbook', context: EMPTY_CONTEXT, inputs: inputsOf(evidence) };
	if (!figure)
		return makeFinding(softening, {
			...common,
			source: 'handbook',
			sampling: { kind: 'unknown', reason: say('notInHandbook', { material: evidence.spool.material }) }
		});
	return makeFinding(softening, {
		...common,
		source: figure.source,
		estimate: (figure.low + figure.high) / 2,
		interval: { low: figure.low, high: figure.high, level: null, kind: 'bounds' },
		sampling: { kind: 'bounds', low: figure.low, high: figure.high },
		messages: [say('fromHandbook', { material: evidence.spool.material, source: figure.source })]
	});
}

function findDemands(evidence: SpoolEvidence, basis: Basis): Finding {
	const demands = demandsOf(evidence, basis.printer, basis.handbook);
	const common = {
		subject: { spoolId: evidence.spool.id },
		method: 'demands',
		source: 'what worked, label and handbook against what is noted of the printer',
		context: EMPTY_CONTEXT,
		inputs: inputsOf(evidence)
	};
	const unmet = demands.filter((d) => d.met === false);
	const open = demands.filter((d) => d.met === null).length;
	const named = unmet.map((d) => d.unmet);
	if (demands.length === 0 || (open > 0 && unmet.length === 0)) {
		const known = materialOf(evidence.spool.material, basis.handbook) !== null;
		const reason = known ? say('printerNotKnown') : say('notInHandbook', { material: evidence.spool.material });
		return makeFinding(demandsUnmet, { ...common, sampling: { kind: 'unknown', reason } });
	}
	if (open > 0) {
		// What is lacking is lacking, whatever else may be.
		const [low, high] = [unmet.length, unmet.length + open];
		return makeFinding(demandsUnmet, {
			...common,
			estimate: low,
			interval: { low, high, level: null, kind: 'bounds' },
			sampling: { kind: 'bounds', low, high },
			messages: [...named, say('demandsNotKnown', { count: open })]
		});
	}
	return makeFinding(demandsUnmet, {
		...common,
		estimate: unmet.length,
		sampling: { kind: 'exact', value: unmet.length },
		messages: unmet.length ? named : [say('demandsMet')]
	});
}
