import { say } from '../../judging/finding/message';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { EMPTY_CONTEXT, makeFinding } from '../../judging/finding/make-finding';
import type { Finding, QuantityDef } from '../../judging/finding/types';
import type { Station } from '../../judging/station/station';

/** What may be odd when a spool is unboxed, in the order the eye meets it. */
export const ODDITIES = ['seal', 'desiccant', 'winding', 'label', 'spoolBody', 'dirt', 'odour', 'brittle'] as const;

/** Every reading that unboxing can give: something odd, nothing odd, what was good. */
export const UNBOXING_READINGS = ['nothingOdd', 'goodPoints', ...ODDITIES] as const;

export type Oddity = (typeof ODDITIES)[number];

const isOddity = (quantity: string): quantity is Oddity => (ODDITIES as readonly string[]).includes(quantity);

const intakeOdd: QuantityDef = {
	id: 'intakeOdd',
	station: 'intake',
	unit: '',
	direction: 'less',
	target: null,
	scale: { low: 0, high: 4 },
	prior: { low: 0, high: 4 },
	differenceThatMatters: 1,
	figure: 'none',
	onSheet: false,
	family: null
};

export const intakeStation: Station = {
	id: 'intake',
	quantities: () => [intakeOdd],
	find: (evidence) => [findOdd(evidence)],
	next: (findings) => findings.flatMap((f) => f.missing)
};

/** Count of odd things seen at unboxing. One look by one person: exact as a count, thin as a judgement. */
function findOdd(evidence: SpoolEvidence): Finding {
	const seen = evidence.readings.filter((r) => r.station === 'intake');
	const looks = seen.filter((r) => r.quantity === 'nothingOdd' || isOddity(r.quantity));
	const counted = looks.filter((r) => r.status === 'counts');
	// Good points take nothing away from what is odd, and say nothing of the rest.
	const good = seen
		.filter((r) => r.quantity === 'goodPoints' && r.status === 'counts')
		.map((r) => say('goodPoints', { words: r.typedText }));
	const odd = counted.flatMap((r) => (isOddity(r.quantity) ? [{ oddity: r.quantity, words: r.typedText }] : []));
	const common = {
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		method: 'oddities',
		source: 'count of words, common practice',
		context: { ...EMPTY_CONTEXT, lots: evidence.spool.lot ? [evidence.spool.lot] : [] },
		inputs: {
			used: counted.map((r) => r.id),
			excluded: looks.filter((r) => r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		}
	};
	if (counted.length === 0)
		return makeFinding(intakeOdd, {
			...common,
			sampling: { kind: 'unknown', reason: say('notLookedAt') },
			messages: good,
			missing: [{ action: 'unbox', station: 'intake', count: 1, minutes: 1, params: {} }]
		});
	return makeFinding(intakeOdd, {
		...common,
		estimate: odd.length,
		n: 1,
		sampling: { kind: 'exact', value: odd.length },
		gradeAtMost: 'thin',
		messages: [...(odd.length === 0 ? [say('nothingOdd')] : odd.map(({ oddity, words }) => say(`odd.${oddity}`, { words }))), ...good]
	});
}
