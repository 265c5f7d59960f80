import { group } from 'd3-array';
import type { SpecimenMeasure } from '../../record/evidence/specimen';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import { EMPTY_CONTEXT, makeFinding } from '../../judging/finding/make-finding';
import { say, type Message } from '../../judging/finding/message';
import type { Finding, FindingContext, Missing, QuantityDef } from '../../judging/finding/types';
import { materialClass } from '../../judging/handbook/material-class';
import { findingOfCell } from '../../judging/cells/finding-of-cell';
import { modelOf, type MarkModel } from '../../judging/posterior/model';
import { wordAs } from '../../judging/posterior/observed';
import type { RecordCell } from '../../judging/posterior/record-cell';
import type { Observed } from '../../judging/posterior/scale';
import { BY_HAND_WORDS, DAMAGE_WORDS, type FailureMode } from './words';
import type { Station } from '../../judging/station/station';
import { atTemperatures, kindOf } from './kinds';
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
		return MEASURES.flatMap((measure) => {
			const mine = observed.filter((o) => MEASURE_OF[o.specimen.method] === measure);
			return kindsOf(mine, measure, basis).flatMap((kind) => findKind(evidence, basis, { measure, kind, of: mine }));
		});
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
	const own = observed.map((o) => kindOf(o.specimen));
	const compared = basis.specimenKinds[measure];
	if (compared === null && own.length === 0) return measure === 'load' ? [null] : [];
	return [...new Set([...(compared === null ? [] : [compared]), ...own])];
}

/** What is told of one kind of specimen, and all specimens told in the same. */
type OfKind = { measure: SpecimenMeasure; kind: string | null; of: readonly ObservedSpecimen[] };

/** A kind at one temperature; several where a spool has it at several, the one that counts first. */
function findKind(evidence: SpoolEvidence, basis: Basis, { measure, kind, of }: OfKind): Finding[] {
	const temperatures = atTemperatures(of.filter((o) => kindOf(o.specimen) === kind).map((o) => ({ ...o, nozzleC: o.specimen.nozzleC })));
	return temperatures.map(({ nozzleC, specimens }, i) =>
		findOf(evidence, basis, {
			measure,
			kind,
			variant: i === 0 || kind === null ? kind : `${kind} · ${nozzleC === null ? 'temperature not said' : `${nozzleC} C`}`,
			mine: specimens,
			others: of.length - temperatures.reduce((sum, t) => sum + t.specimens.length, 0),
			said: i === 0 && nozzleC !== null ? [say('atTemperature', { nozzleC, others: temperatures.length - 1 })] : []
		})
	);
}

/** Specimens that make one finding; `variant` names it, `others` are told in the same and of another kind, `said` goes first. */
type Given = {
	measure: SpecimenMeasure;
	kind: string | null;
	variant: string | null;
	mine: readonly ObservedSpecimen[];
	others: number;
	said: readonly Message[];
};

function findOf(evidence: SpoolEvidence, basis: Basis, { measure, kind, variant, mine, others, said }: Given): Finding {
	const def = DEFS[measure](basis);
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
		subject: { spoolId: evidence.spool.id, variant },
		context: contextOf(evidence, used, kind),
		inputs: {
			used: used.flatMap((o) => o.readings.map((r) => r.id)),
			excluded: evidence.readings.filter((r) => r.station === 'strength' && r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		},
		missing: missing(intervals, variant, basis.specimenKinds[measure], others)
	};
	if (used.length === 0) return makeFinding(def, common);
	const single = used.length === 1 ? [say('oneSpecimen', { cells })] : [];
	const failures = failureMessages(used);
	if (measure === 'byHand') {
		const counts = BY_HAND_WORDS.map((_, rank) => used.filter((o) => o.byHand === rank).length);
		return makeFinding(def, { ...common, messages: [...said, ...single, ...failures], figure: { kind: 'words', counts } });
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
			messages: [...said, say('allHeld', { n: used.length, low, measure, unit: shownUnit(def) }), ...failures],
			gradeAtMost: 'thin'
		});
	}
	return makeFinding(def, {
		...common,
		...seen,
		messages: [
			...said,
			...(held.length > 0 ? [say('neverBroke', { held: held.length, n: used.length })] : []),
			...single,
			...beyondScale(parts.estimate, def),
			...failures
		]
	});
}

/** How each way of telling is modelled; no figure of a trial's scale is in it, so that a spool has the same one in all trials. */
const NEUTRAL = { strengthHighN: 400, loadUnit: 'N' as const, specimenKinds: { load: null, blows: null, byHand: null } };
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
	return [...group(of, (o) => `${kindOf(o.specimen)} ${o.specimen.nozzleC ?? ''}`).values()].map((same) => ({
		quantity: DEFS[measure](basis).id,
		kind: same[0] ? kindOf(same[0].specimen) : null,
		material,
		model: MODELS[measure],
		observed: same.flatMap((o) => intervalOf(o, measure) ?? [])
	}));
}

/** Blows have no unit. */
const shownUnit = (def: QuantityDef): string => def.shownIn ?? def.unit;

/** A scale that is too short draws and weighs all strong spools alike. */
function beyondScale(estimate: number | null, def: QuantityDef): Message[] {
	return estimate !== null && estimate > def.scale.high ? [say('beyondScale', { high: def.scale.high, unit: shownUnit(def) })] : [];
}

/** Said with each result: how the specimens failed, most frequent first, and what those went through that did not. */
function failureMessages(used: readonly ObservedSpecimen[]): Message[] {
	const counts = new Map<FailureMode, number>();
	for (const o of used) if (o.failure) counts.set(o.failure, (counts.get(o.failure) ?? 0) + 1);
	const damaged = DAMAGE_WORDS.flatMap((damage) => {
		const count = used.filter((o) => o.damage === damage).length;
		return damage === 'none' || count === 0 ? [] : [say(`damage.${damage}`, { count })];
	});
	return [...[...counts].sort((a, b) => b[1] - a[1]).map(([how, count]) => say(`failed.${how}`, { count })), ...damaged];
}

/** One that held all there was is not asked for more of the same: nothing heavier is there to hang on it. */
function missing(have: readonly Observed[], variant: string | null, compared: string | null, others: number): Missing[] {
	const count = WANTED - have.length;
	if (variant !== compared || count <= 0 || (have.length > 0 && have.every((o) => o.high === null))) return [];
	return [
		{ action: 'loadSpecimen', station: 'strength', count, minutes: 3 * count, params: { otherKind: have.length === 0 ? others : 0 } }
	];
}

function contextOf(evidence: SpoolEvidence, used: readonly ObservedSpecimen[], kind: string | null): FindingContext {
	const times = used.map((o) => o.specimen.at);
	return {
		...EMPTY_CONTEXT,
		variants: kind && used.length ? [kind] : [],
		settings: [...new Set(used.flatMap((o) => o.specimen.nozzleC ?? []))]
			.sort((a, b) => a - b)
			.map((value) => ({ name: 'nozzleC', value })),
		lots: evidence.spool.lot ? [evidence.spool.lot] : [],
		from: times.length ? Math.min(...times) : null,
		to: times.length ? Math.max(...times) : null
	};
}
