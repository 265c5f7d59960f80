import { grade } from './grade';
import type { Finding, FindingContext, Grade, QuantityDef } from './types';

export const EMPTY_CONTEXT: FindingContext = {
	printers: [],
	nozzles: [],
	settings: [],
	conditions: [],
	variants: [],
	exposures: [],
	pieces: [],
	lots: [],
	instruments: [],
	currencies: [],
	priceKinds: [],
	from: null,
	to: null
};

type Given = Pick<Finding, 'sampling' | 'method' | 'source'> & {
	subject: Pick<Finding['subject'], 'spoolId'> & Partial<Finding['subject']>;
} & Partial<Omit<Finding, 'station' | 'quantity' | 'unit' | 'grade' | 'subject'>> & { gradeAtMost?: Grade; enough?: number };

const ORDER: Grade[] = ['none', 'thin', 'fair', 'firm'];

/**
 * Completes a finding from what a station computed: fills what is empty and grades it, so that no station grades itself.
 * `gradeAtMost` caps the grade where the width alone would flatter (an interval that is only bounds, an exact but single price);
 * `enough` says how many readings carry more than that, where it is not three (two weighings are a whole difference).
 * @example makeFinding(overhang, { subject: { spoolId: 's1', condition: 'asReceived', variant: '' }, sampling: { kind: 'exact', value: 19.5 }, estimate: 19.5, n: 1, method: 'price', source: 'arithmetic' }).grade // 'firm'
 */
export function makeFinding(def: QuantityDef, given: Given): Finding {
	const { gradeAtMost, enough, ...rest } = given;
	const n = rest.n ?? 0;
	const interval = rest.interval ?? null;
	const earned =
		rest.sampling.kind === 'exact' && n > 0 ? 'firm' : grade({ n, nEffective: rest.nEffective ?? null, interval }, def, enough);
	const capped = gradeAtMost && ORDER.indexOf(gradeAtMost) < ORDER.indexOf(earned) ? gradeAtMost : earned;
	return {
		estimate: null,
		nEffective: null,
		shared: [],
		priorSet: null,
		missing: [],
		context: EMPTY_CONTEXT,
		inputs: { used: [], excluded: [], revision: 0 },
		messages: [],
		word: null,
		figure: { kind: 'none' },
		...rest,
		subject: { condition: null, pieceId: null, variant: null, ...rest.subject },
		station: def.station,
		quantity: def.id,
		unit: def.unit,
		n,
		interval,
		grade: capped
	};
}
