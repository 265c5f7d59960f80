import type { SpecimenMeasure } from '../evidence/specimen';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import type { BorrowedScatter } from '../trial/worked-out';
import { EMPTY_CONTEXT, makeFinding } from '../finding/make-finding';
import { say, type Message } from '../finding/message';
import type { Finding, FindingContext, Missing, QuantityDef } from '../finding/types';
import { LEAST_REPEATS, borrowedScatter } from '../house/borrowed-scatter';
import { ordinal } from '../prints/ordinal';
import { BY_HAND_WORDS, type FailureMode } from './words';
import type { Station } from '../station';
import { kindOf } from './kinds';
import { meanStrength } from './mean-strength';
import { observedSpecimens, type Observed } from './observe';
import { MEASURE_OF, strengthBlows, strengthByHand, strengthLoad } from './quantities';

/** Specimens with which a mean begins to say something (common practice, no source). */
const WANTED = 3;

export const strengthStation: Station = {
	id: 'strength',
	invited: true,
	quantities: (basis) => [strengthLoad(basis), strengthBlows(basis), strengthByHand(basis)],
	find(evidence, basis) {
		const observed = observedSpecimens(evidence);
		return (['load', 'blows', 'byHand'] as const).flatMap((measure) =>
			kindsOf(observed, measure, basis).map((kind) => findOf(evidence, basis, measure, kind, observed))
		);
	},
	scatterToBorrow: (evidence, basis) => scatterToBorrow(evidence, basis),
	next: (findings) => findings.flatMap((f) => f.missing).slice(0, 1)
};

const DEFS: Record<SpecimenMeasure, (basis: Basis) => QuantityDef> = {
	load: strengthLoad,
	blows: strengthBlows,
	byHand: strengthByHand
};

/** The kinds this spool has specimens of, and the one the trial compares. */
function kindsOf(observed: readonly Observed[], measure: SpecimenMeasure, basis: Basis): (string | null)[] {
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
	observed: readonly Observed[]
): Finding {
	const def = DEFS[measure](basis);
	const mine = observed.filter((o) => MEASURE_OF[o.specimen.method] === measure && kindOf(o.specimen) === kind);
	const used = mine.filter((o) => (measure === 'byHand' ? o.byHand !== null : o.observation !== null));
	const common = {
		subject: { spoolId: evidence.spool.id, variant: kind },
		context: contextOf(evidence, used, kind),
		inputs: {
			used: used.flatMap((o) => o.readings.map((r) => r.id)),
			excluded: evidence.readings.filter((r) => r.station === 'strength' && r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		},
		missing: missing(used.length, kind, basis.specimenKinds[measure])
	};
	const failures = failureMessages(used);
	if (measure === 'byHand') {
		const words = ordinal(
			used.map((o) => o.byHand as number),
			BY_HAND_WORDS.length
		);
		return makeFinding(def, {
			...common,
			method: 'ordinal',
			source: 'Dirichlet counts, prior 1/2 a word',
			...(words
				? { ...words, n: used.length, messages: failures, figure: { kind: 'words', counts: words.counts } }
				: { sampling: { kind: 'unknown', reason: say('noSpecimens') } })
		});
	}
	const observations = used.flatMap((o) => (o.observation ? [o.observation] : []));
	const result = meanStrength(observations, def.scale.high, borrowedScatter(basis, def.id, kind));
	if (!result)
		return makeFinding(def, {
			...common,
			method: 'strengthMean',
			source: 'ISO 2602',
			sampling: { kind: 'unknown', reason: say('noSpecimens') }
		});
	const { messages, logSd: _, ...rest } = result;
	return makeFinding(def, {
		...common,
		...rest,
		source: SOURCES[result.method],
		messages: [...messages, ...beyondScale(result.estimate, def), ...failures],
		...(result.method === 'strengthHeld' || result.method === 'strengthBounds' ? { gradeAtMost: 'thin' as const } : {}),
		figure: { kind: 'loads', loads: observations }
	});
}

const SOURCES = {
	strengthMean: 'ISO 2602',
	strengthWeibull: 'Weibull by maximum likelihood, intervals and survivors counted (Meeker & Escobar 1998; ISO 20501)',
	strengthBounds: 'bounds of the specimens (arithmetic)',
	strengthHeld: 'loads survived (arithmetic)',
	strengthBorrowed: 'one specimen, scatter borrowed from the house spool (house rule)'
} as const;

/** A scale that is too short draws and weighs all strong spools alike. */
function beyondScale(estimate: number | null, def: QuantityDef): Message[] {
	return estimate !== null && estimate > def.scale.high ? [say('beyondScale', { high: def.scale.high })] : [];
}

/** Said with each result: how the specimens failed, most frequent first. */
function failureMessages(used: readonly Observed[]): Message[] {
	const counts = new Map<FailureMode, number>();
	for (const o of used) if (o.failure) counts.set(o.failure, (counts.get(o.failure) ?? 0) + 1);
	return [...counts].sort((a, b) => b[1] - a[1]).map(([how, count]) => say(`failed.${how}`, { count }));
}

function missing(have: number, kind: string | null, compared: string | null): Missing[] {
	if (kind !== compared || have >= WANTED) return [];
	return [{ action: 'loadSpecimen', station: 'strength', count: WANTED - have, minutes: 3 * (WANTED - have), params: {} }];
}

function contextOf(evidence: SpoolEvidence, used: readonly Observed[], kind: string | null): FindingContext {
	const times = used.map((o) => o.specimen.at);
	return {
		...EMPTY_CONTEXT,
		variants: kind && used.length ? [kind] : [],
		lots: evidence.spool.lot ? [evidence.spool.lot] : [],
		from: times.length ? Math.min(...times) : null,
		to: times.length ? Math.max(...times) : null
	};
}

/** The scatter of the logarithm of this spool's strengths, for each kind of which it has repeats enough. */
function scatterToBorrow(evidence: SpoolEvidence, basis: Basis): BorrowedScatter[] {
	const observed = observedSpecimens(evidence).filter((o) => o.observation !== null);
	return (['load', 'blows'] as const).flatMap((measure) => {
		const kind = basis.specimenKinds[measure];
		const of = observed.filter((o) => kindOf(o.specimen) === kind).flatMap((o) => (o.observation ? [o.observation] : []));
		const def = DEFS[measure](basis);
		if (of.length < LEAST_REPEATS) return [];
		const result = meanStrength(of, def.scale.high, null);
		return result?.logSd
			? [{ quantity: def.id, subject: kind, sd: result.logSd, df: of.length - 1, n: of.length, code: evidence.spool.code, relative: true }]
			: [];
	});
}
