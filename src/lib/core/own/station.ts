import { say } from '../finding/message';
import type { OwnMeasure } from '../evidence/own-measure';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import type { BorrowedScatter } from '../trial/worked-out';
import { findFromValues } from '../finding/find-from-values';
import { EMPTY_CONTEXT, makeFinding } from '../finding/make-finding';
import type { Finding, Missing, QuantityDef } from '../finding/types';
import { LEAST_REPEATS, borrowedScatter } from '../house/borrowed-scatter';
import type { Station } from '../station';
import { meanInterval } from '../stats/mean-interval';

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
	scatterToBorrow: (evidence, basis) => basis.ownMeasures.flatMap((measure) => scatterToBorrow(evidence, measure)),
	next: (findings) => findings.flatMap((f) => f.missing)
};

const valuesOf = (evidence: SpoolEvidence, measure: OwnMeasure) =>
	evidence.readings.flatMap((r) => (r.ownMeasureId === measure.id && r.value !== null && r.status === 'counts' ? [r.value] : []));

function scatterToBorrow(evidence: SpoolEvidence, measure: OwnMeasure): BorrowedScatter[] {
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
	const borrowed = borrowedScatter(basis, def.id, null);
	// One value: the pick may draw within a fifth of the scale around it; nothing is known of its scatter.
	const width = (measure.high - measure.low) / 5;
	const [only = 0] = values;
	const found = findFromValues(values, { borrowed, alone: { low: only - width, high: only + width, shown: false } });
	if (!found) return makeFinding(def, { ...base, sampling: { kind: 'unknown', reason: say('noReadings') } });
	const single = borrowed ? say('borrowedScatter', { code: borrowed.code, n: borrowed.n }) : say('oneReading');
	return makeFinding(def, { ...base, ...found, messages: found.n === 1 ? [single] : [] });
}
