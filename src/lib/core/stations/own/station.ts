import { say } from '../../judging/finding/message';
import type { OwnMeasure } from '../../record/evidence/own-measure';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import { EMPTY_CONTEXT, makeFinding } from '../../judging/finding/make-finding';
import type { Finding, Missing, QuantityDef } from '../../judging/finding/types';
import { materialClass } from '../../judging/handbook/material-class';
import { findingOfCell } from '../../judging/cells/finding-of-cell';
import { modelOf } from '../../judging/posterior/model';
import { readingAs, wordAs } from '../../judging/posterior/observed';
import type { RecordCell } from '../../judging/posterior/record-cell';
import type { Observed } from '../../judging/posterior/scale';
import type { Station } from '../../judging/station/station';

/**
 * The quantity of a tester's own measure. Of a number a tenth of its scale is taken as the difference that matters,
 * of words one word (common practice, no source).
 * @example ownQuantity({ id: 'm1', name: 'Knob grip', unit: 'mm', direction: 'more', low: 0, high: 10, words: null, family: 'holds', here: true }).id // 'own.m1'
 */
export function ownQuantity(measure: OwnMeasure): QuantityDef {
	const { words, here: onSheet, family, name } = measure;
	const common = { id: `own.${measure.id}`, station: 'own', onSheet, family, name } as const;
	if (words) {
		const scale = { low: 0, high: words.length - 1 };
		return { ...common, unit: '', direction: 'more', target: null, scale, prior: scale, differenceThatMatters: 1, figure: 'words', words };
	}
	const scale = { low: measure.low, high: measure.high };
	return {
		...common,
		unit: measure.unit,
		direction: measure.direction,
		target: measure.direction === 'nearest' ? (measure.low + measure.high) / 2 : null,
		scale,
		prior: scale,
		differenceThatMatters: (measure.high - measure.low) / 10,
		figure: 'dot'
	};
}

export const ownStation: Station = {
	id: 'own',
	quantities: (basis) => basis.ownMeasures.map(ownQuantity),
	find: (evidence, basis) => basis.ownMeasures.map((measure) => findOwn(evidence, basis, measure)),
	cells: (evidence, basis) => basis.ownMeasures.flatMap((measure) => cellsOf(evidence, basis, measure)),
	next: (findings) => findings.flatMap((f) => f.missing)
};

/** An own measure may be anything: a number of the tester's own making has no floor. */
const modelOfMeasure = (measure: OwnMeasure) =>
	measure.words ? modelOf(ownQuantity(measure), 'words') : modelOf(ownQuantity(measure), 'plain', null);

const readingsOf = (evidence: SpoolEvidence, measure: OwnMeasure) =>
	evidence.readings.flatMap((r) => (r.ownMeasureId === measure.id && r.value !== null ? [{ ...r, value: r.value }] : []));

const observedOf = (readings: ReturnType<typeof readingsOf>, measure: OwnMeasure): Observed[] =>
	// A step where the reading has none of its own: a hundredth of what matters, so that it decides nothing.
	readings.map((r) =>
		measure.words
			? wordAs(r.value, measure.words.length)
			: readingAs(r.value, r.resolution ?? ownQuantity(measure).differenceThatMatters / 100)
	);

function cellsOf(evidence: SpoolEvidence, basis: Basis, measure: OwnMeasure): RecordCell[] {
	const counted = readingsOf(evidence, measure).filter((r) => r.status === 'counts');
	if (counted.length === 0) return [];
	const material = materialClass(evidence.spool.material, basis.handbook);
	return [{ quantity: `own.${measure.id}`, kind: null, material, model: modelOfMeasure(measure), observed: observedOf(counted, measure) }];
}

/** Three readings tell a scatter (common practice, no source). */
const WANTED = 3;

const missing = (measure: OwnMeasure, wanted: number): Missing[] =>
	measure.here && wanted > 0
		? [{ action: 'measureOwn', station: 'own', count: wanted, minutes: wanted, params: { name: measure.name } }]
		: [];

function findOwn(evidence: SpoolEvidence, basis: Basis, measure: OwnMeasure): Finding {
	const def = ownQuantity(measure);
	const all = readingsOf(evidence, measure);
	const counted = all.filter((r) => r.status === 'counts');
	const { parts, cells } = findingOfCell({
		evidence,
		basis,
		quantity: def.id,
		kind: null,
		model: modelOfMeasure(measure),
		observed: observedOf(counted, measure),
		none: say('noReadings')
	});
	return makeFinding(def, {
		...parts,
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		context: EMPTY_CONTEXT,
		inputs: {
			used: counted.map((r) => r.id),
			excluded: all.filter((r) => r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		},
		missing: missing(measure, (measure.words ? 1 : WANTED) - counted.length),
		messages: parts.n === 1 ? [say('oneReading', { cells })] : [],
		figure: measure.words
			? { kind: 'words', counts: measure.words.map((_, rank) => counted.filter((r) => r.value === rank).length) }
			: { kind: 'dot', points: counted.map((r) => r.value) }
	});
}
