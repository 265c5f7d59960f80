import { say } from '../finding/message';
import type { OwnMeasure } from '../evidence/own-measure';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import type { LentScatter } from '../trial/worked-out';
import { EMPTY_CONTEXT, makeFinding } from '../finding/make-finding';
import type { Finding, Missing, QuantityDef } from '../finding/types';
import { LEAST_REPEATS, lentFor } from '../house/lent-scatter';
import type { Station } from '../station';
import { meanInterval, tQuantile } from '../stats/mean-interval';

/**
 * The quantity of a tester's own measure. A tenth of its scale is taken as the difference that matters (common practice, no source).
 * @example ownQuantity({ id: 'm1', name: 'Knob grip', unit: 'mm', direction: 'more', low: 0, high: 10 }).id // 'own.m1'
 */
export function ownQuantity(measure: OwnMeasure): QuantityDef {
	const scale = { low: measure.low, high: measure.high };
	return {
		id: `own.${measure.id}`,
		station: 'own',
		unit: measure.unit,
		direction: measure.direction,
		target: measure.direction === 'nearest' ? (measure.low + measure.high) / 2 : null,
		scale,
		prior: scale,
		differenceThatMatters: (measure.high - measure.low) / 10,
		figure: 'dot',
		onSheet: true,
		name: measure.name
	};
}

export const ownStation: Station = {
	id: 'own',
	quantities: (basis) => basis.ownMeasures.map(ownQuantity),
	find: (evidence, basis) => basis.ownMeasures.map((measure) => findOwn(evidence, basis, measure)),
	lends: (evidence, basis) => basis.ownMeasures.flatMap((measure) => lends(evidence, measure)),
	next: (findings) => findings.flatMap((f) => f.missing)
};

const valuesOf = (evidence: SpoolEvidence, measure: OwnMeasure) =>
	evidence.readings.flatMap((r) => (r.ownMeasureId === measure.id && r.value !== null && r.status === 'counts' ? [r.value] : []));

function lends(evidence: SpoolEvidence, measure: OwnMeasure): LentScatter[] {
	const over = meanInterval(valuesOf(evidence, measure));
	return over.sd && over.n >= LEAST_REPEATS
		? [{ quantity: `own.${measure.id}`, subject: null, sd: over.sd, df: over.df, n: over.n, code: evidence.spool.code, relative: false }]
		: [];
}

/** Three readings tell a scatter (common practice, no source). */
const missing = (measure: OwnMeasure, wanted: number): Missing[] =>
	wanted > 0 ? [{ action: 'measureOwn', station: 'own', count: wanted, minutes: wanted, params: { name: measure.name } }] : [];

function findOwn(evidence: SpoolEvidence, basis: Basis, measure: OwnMeasure): Finding {
	const def = ownQuantity(measure);
	const all = evidence.readings.filter((r) => r.ownMeasureId === measure.id && r.value !== null);
	const counted = all.filter((r) => r.status === 'counts');
	const values = valuesOf(evidence, measure);
	const over = meanInterval(values);
	const wanted = 3 - counted.length;
	const base = {
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		method: 'mean',
		source: 'ISO 2602',
		context: EMPTY_CONTEXT,
		inputs: {
			used: counted.map((r) => r.id),
			excluded: all.filter((r) => r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		},
		missing: missing(measure, wanted),
		figure: { kind: 'dot' as const, points: values }
	};
	if (over.mean === null) return makeFinding(def, { ...base, sampling: { kind: 'unknown', reason: say('noReadings') } });
	if (over.standardError === null || over.low === null || over.high === null) {
		const lent = lentFor(basis, def.id, null);
		if (lent) {
			const half = tQuantile(0.975, lent.df) * lent.sd;
			return makeFinding(def, {
				...base,
				estimate: over.mean,
				n: 1,
				interval: { low: over.mean - half, high: over.mean + half, level: 0.95, kind: 'confidence' },
				sampling: { kind: 't', mean: over.mean, standardError: lent.sd, df: lent.df },
				messages: [say('borrowedScatter', { code: lent.code, n: lent.n })]
			});
		}
		// One value: the pick may draw within a fifth of the scale around it; nothing is known of its scatter.
		const width = (measure.high - measure.low) / 5;
		return makeFinding(def, {
			...base,
			estimate: over.mean,
			n: 1,
			sampling: { kind: 'bounds', low: over.mean - width, high: over.mean + width },
			messages: [say('oneReading')]
		});
	}
	return makeFinding(def, {
		...base,
		estimate: over.mean,
		n: over.n,
		interval: { low: over.low, high: over.high, level: 0.95, kind: 'confidence' },
		sampling: { kind: 't', mean: over.mean, standardError: over.standardError, df: over.df },
		messages: []
	});
}
