import { group } from 'd3-array';
import type { SpecimenMeasure } from '../evidence/specimen';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import { EMPTY_CONTEXT, makeFinding } from '../finding/make-finding';
import { say, type Message } from '../finding/message';
import type { Finding, FindingContext, Missing, QuantityDef } from '../finding/types';
import { materialClass } from '../handbook/material-class';
import { findingOfCell } from '../posterior/finding-of-cell';
import { modelOf, type MarkModel } from '../posterior/model';
import { wordAs } from '../posterior/observed';
import type { RecordCell } from '../posterior/record-cell';
import type { Observed } from '../posterior/scale';
import { BY_HAND_WORDS, type FailureMode } from './words';
import type { Station } from '../station';
import { kindOf } from './kinds';
import { observedSpecimens, type ObservedSpecimen } from './observe';
import { MEASURE_OF, strengthBlows, strengthByHand, strengthLoad } from './quantities';

/** Specimens with which a mean begins to say something (common practice, no source). */
const WANTED = 3;

const MEASURES = ['load', 'blows', 'byHand'] as const satisfies readonly SpecimenMeasure[];

export const strengthStation: Station = {
	id: 'strength',
	invited: true,
	quantities: (basis) => [strengthLoad(basis), strengthBlows(basis), strengthByHand(basis)],
	find(evidence, basis) {
		const observed = observedSpecimens(evidence);
		return MEASURES.flatMap((measure) => kindsOf(observed, measure, basis).map((kind) => findOf(evidence, basis, measure, kind, observed)));
	},
	cells: (evidence, basis) => MEASURES.flatMap((measure) => cellsOf(evidence, basis, measure)),
	next: (findings) => findings.flatMap((f) => f.missing).slice(0, 1)
};

const DEFS: Record<SpecimenMeasure, (basis: Basis) => QuantityDef> = {
	load: strengthLoad,
	blows: strengthBlows,
	byHand: strengthByHand
};

/** The kinds this spool has specimens of, and the one the trial compares. */
function kindsOf(observed: readonly ObservedSpecimen[], measure: SpecimenMeasure, basis: Basis): (string | null)[] {
	const own = observed.filter((o) => MEASURE_OF[o.specimen.method] === measure).map((o) => kindOf(o.specimen));
	const compared = basis.specimenKinds[measure];
	if (compared === null && own.length === 0) return measure === 'load' ? [null] : [];
	return [...new Set([...(compared === null ? [] : [compared]), ...own])];
}

function findOf(
	evidence: SpoolEvidence,
	basis: Basis,
	measure: SpecimenMeasure,
	kind: string | null,
	observed: readonly ObservedSpecimen[]
): Finding {
	const def = DEFS[measure](basis);
	const mine = observed.filter((o) => MEASURE_OF[o.specimen.method] === measure && kindOf(o.specimen) === kind);
	const used = mine.filter((o) => intervalOf(o, measure) !== null);
	const intervals = used.flatMap((o) => intervalOf(o, measure) ?? []);
	const { parts, cells } = findingOfCell({
		evidence,
		basis,
		quantity: def.id,
		kind,
		model: MODELS[measure],
		observed: intervals,
		none: say('noSpecimens')
	});
	const common = {
		...parts,
		subject: { spoolId: evidence.spool.id, variant: kind },
		context: contextOf(evidence, used, kind),
		inputs: {
			used: used.flatMap((o) => o.readings.map((r) => r.id)),
			excluded: evidence.readings.filter((r) => r.station === 'strength' && r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		},
		missing: missing(used.length, kind, basis.specimenKinds[measure])
	};
	if (used.length === 0) return makeFinding(def, common);
	const single = used.length === 1 ? [say('oneSpecimen', { cells })] : [];
	const failures = failureMessages(used);
	if (measure === 'byHand') {
		const counts = BY_HAND_WORDS.map((_, rank) => used.filter((o) => o.byHand === rank).length);
		return makeFinding(def, { ...common, messages: [...single, ...failures], figure: { kind: 'words', counts } });
	}
	const held = intervals.filter((o) => o.high === null);
	const seen = { figure: { kind: 'loads' as const, loads: intervals.map(({ low, high }) => ({ low: low ?? 0, high })) } };
	if (held.length === used.length) {
		// Nothing broke: how strong it is nobody knows, only that it is no weaker. That neither wins nor loses.
		const low = Math.min(...held.map((o) => o.low ?? 0));
		return makeFinding(def, {
			...common,
			...seen,
			estimate: null,
			messages: [say('allHeld', { n: used.length, low, measure }), ...single, ...failures],
			gradeAtMost: 'thin'
		});
	}
	return makeFinding(def, {
		...common,
		...seen,
		messages: [
			...(held.length > 0 ? [say('neverBroke', { held: held.length, n: used.length })] : []),
			...single,
			...beyondScale(parts.estimate, def),
			...failures
		]
	});
}

/** How each way of telling is modelled; no figure of a trial's scale is in it, so that a spool has the same one in all trials. */
const NEUTRAL = { strengthHighN: 400, specimenKinds: { load: null, blows: null, byHand: null } };
const MODELS: Record<SpecimenMeasure, MarkModel> = {
	load: modelOf(strengthLoad(NEUTRAL), 'load'),
	blows: modelOf(strengthBlows(NEUTRAL), 'blows'),
	byHand: modelOf(strengthByHand(NEUTRAL), 'words')
};

/** What a specimen says, between two ends; null where it says nothing. */
function intervalOf(o: ObservedSpecimen, measure: SpecimenMeasure): Observed | null {
	if (measure !== 'byHand') return o.observation;
	return o.byHand === null ? null : wordAs(o.byHand, BY_HAND_WORDS.length);
}

/** What this spool's specimens teach of their kinds. */
function cellsOf(evidence: SpoolEvidence, basis: Basis, measure: SpecimenMeasure): RecordCell[] {
	const of = observedSpecimens(evidence).filter((o) => MEASURE_OF[o.specimen.method] === measure && intervalOf(o, measure) !== null);
	const material = materialClass(evidence.spool.material, basis.handbook);
	return [...group(of, (o) => kindOf(o.specimen))].map(([kind, same]) => ({
		quantity: DEFS[measure](basis).id,
		kind,
		material,
		model: MODELS[measure],
		observed: same.flatMap((o) => intervalOf(o, measure) ?? [])
	}));
}

/** A scale that is too short draws and weighs all strong spools alike. */
function beyondScale(estimate: number | null, def: QuantityDef): Message[] {
	return estimate !== null && estimate > def.scale.high ? [say('beyondScale', { high: def.scale.high })] : [];
}

/** Said with each result: how the specimens failed, most frequent first. */
function failureMessages(used: readonly ObservedSpecimen[]): Message[] {
	const counts = new Map<FailureMode, number>();
	for (const o of used) if (o.failure) counts.set(o.failure, (counts.get(o.failure) ?? 0) + 1);
	return [...counts].sort((a, b) => b[1] - a[1]).map(([how, count]) => say(`failed.${how}`, { count }));
}

function missing(have: number, kind: string | null, compared: string | null): Missing[] {
	if (kind !== compared || have >= WANTED) return [];
	return [{ action: 'loadSpecimen', station: 'strength', count: WANTED - have, minutes: 3 * (WANTED - have), params: {} }];
}

function contextOf(evidence: SpoolEvidence, used: readonly ObservedSpecimen[], kind: string | null): FindingContext {
	const times = used.map((o) => o.specimen.at);
	return {
		...EMPTY_CONTEXT,
		variants: kind && used.length ? [kind] : [],
		lots: evidence.spool.lot ? [evidence.spool.lot] : [],
		from: times.length ? Math.min(...times) : null,
		to: times.length ? Math.max(...times) : null
	};
}
