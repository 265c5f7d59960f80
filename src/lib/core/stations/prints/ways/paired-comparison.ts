import { nth } from '../../../kernel/lists/nth';
import { conditionOf } from '../../../record/conditions/condition-at';
import { SET_UP, type Attempt, UNCHANGED } from '../../../record/evidence/attempt';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { Basis } from '../../../judging/trial/basis';
import type { FailureRule } from '../../../judging/trial/protocol';
import type { QuantityDef } from '../../../judging/finding/types';
import { judgePairs, type PairsVerdict } from './judge-pairs';
import { MARKS, type MarkDef } from '../marks/marks';
import { marksFinder, type MarksOn } from '../marks/marks-on';
import { printValues } from '../marks/print-values';
import { settled } from '../../../record/evidence/settled';
import { printSuccess } from '../success/quantities';

/** Something in which prints of a trial differ, with the values it has: a setting, the bed, the printer, the condition, the spool. */
export type Difference = { id: string; values: string[] };

/** Two values of a difference: which is held against which. */
export type Contrast = { id: string; first: string; second: string };

type PrintPair = { spoolId: string; pieceId: string; first: number; second: number };
export type PairedResult = PairsVerdict & { def: QuantityDef; pairs: PrintPair[] };
export type PairedComparison = {
	results: PairedResult[];
	/** What else differs within pairs: then it is not only this that is compared. */
	alsoDiffers: string[];
};

type PairedBasis = Pick<Basis, 'failureRule' | 'scorerEffects'>;
type PrintFacts = { evidence: SpoolEvidence; attempt: Attempt; facts: Record<string, string>; marks: MarksOn };

/** What is known of a print, as text; what was not said is left out. */
function factsOf(evidence: SpoolEvidence, attempt: Attempt): Record<string, string> {
	const settings = Object.entries(attempt.settings).flatMap(([name, value]) => (value === null ? [] : [[name, String(value)] as const]));
	return {
		spool: evidence.spool.code,
		condition: conditionOf(evidence, attempt).kind,
		...(attempt.printer === null ? {} : { printer: attempt.printer }),
		...(attempt.nozzle === null ? {} : { nozzle: attempt.nozzle }),
		...(attempt.fileHash === null ? {} : { slicedFile: attempt.fileHash.slice(0, 8) }),
		midPrint: attempt.midPrint ?? UNCHANGED,
		...Object.fromEntries(settings),
		...Object.fromEntries(SET_UP.flatMap((name) => (attempt.setUp[name] ? [[name, attempt.setUp[name]]] : [])))
	};
}

const printFacts = (spools: readonly SpoolEvidence[]): PrintFacts[] =>
	spools.flatMap((evidence) => {
		const marksOn = marksFinder(evidence);
		const counted = evidence.attempts.filter(settled);
		return counted.map((attempt) => ({ evidence, attempt, facts: factsOf(evidence, attempt), marks: marksOn([attempt]) }));
	});

/**
 * In what the prints of some spools differ: everything that has two values or more.
 * @example differencesOf(spools).map((d) => d.id) // ['spool', 'condition', 'fanPct']
 */
export function differencesOf(spools: readonly SpoolEvidence[]): Difference[] {
	const all = printFacts(spools);
	const names = [...new Set(all.flatMap(({ facts }) => Object.keys(facts)))];
	return names
		.map((id) => ({
			id,
			values: [...new Set(all.flatMap(({ facts }) => facts[id] ?? []))].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
		}))
		.filter(({ values }) => values.length > 1);
}

/**
 * Two ways to print held against each other, as pairs: the same piece from the same spool (or, when spools are what differs, the same
 * piece in the same condition), the prints nearest in time standing together. Pieces are never mixed.
 * Source: the pairing is a house rule; see judgePairs for the tests. Finished against failed is McNemar's exact test, the sign test of
 * those that changed.
 * @param basis which failures count against the filament, and which leniencies are taken out
 * @example comparePaired(spools, { id: 'fanPct', first: '0', second: '50' }, basis).results[0].outcome // 'helped'
 */
export function comparePaired(spools: readonly SpoolEvidence[], contrast: Contrast, basis: PairedBasis): PairedComparison {
	const all = printFacts(spools);
	const withinOf = ({ evidence, attempt, facts }: PrintFacts) =>
		contrast.id === 'spool' ? `${attempt.pieceId} ${facts.condition}` : `${evidence.spool.id} ${attempt.pieceId}`;
	const pairsOf = (valueOf: (l: PrintFacts) => number | null): { pair: PrintPair; first: PrintFacts; second: PrintFacts }[] => {
		const known = all.flatMap((l) => {
			const value = valueOf(l);
			return value === null ? [] : [{ l, value }];
		});
		return [...new Set(known.map((k) => withinOf(k.l)))].flatMap((within) => {
			const here = known.filter((k) => withinOf(k.l) === within).sort((a, b) => a.l.attempt.at - b.l.attempt.at);
			const firsts = here.filter((k) => k.l.facts[contrast.id] === contrast.first);
			const seconds = here.filter((k) => k.l.facts[contrast.id] === contrast.second);
			return nearestPairs(firsts, seconds).map(([a, b]) => ({
				pair: { spoolId: a.l.evidence.spool.id, pieceId: a.l.attempt.pieceId, first: a.value, second: b.value },
				first: a.l,
				second: b.l
			}));
		});
	};
	const marks: { def: QuantityDef; pairs: PrintPair[] }[] = [];
	const also = new Set<string>();
	for (const { def, valueOf } of [
		...MARKS.map((mark) => ({ def: mark.def, valueOf: (l: PrintFacts) => valueOfMark(l, basis, mark) })),
		{ def: printSuccess, valueOf: (l: PrintFacts) => successOf(l, basis.failureRule) }
	]) {
		const found = pairsOf(valueOf);
		if (found.length === 0) continue;
		marks.push({ def, pairs: found.map((f) => f.pair) });
		for (const { first, second } of found) for (const name of unlike(first, second)) if (name !== contrast.id) also.add(name);
	}
	if (contrast.id === 'spool') also.delete('spool');
	const verdicts = judgePairs(marks.map(({ def, pairs }) => ({ def, pairs: pairs.map(({ first, second }) => [first, second] as const) })));
	const results = marks.map((mark, i) => ({ ...mark, ...nth(verdicts, i) }));
	return { results, alsoDiffers: [...also].sort() };
}

/** Each of the fewer side with the one of the other side nearest to it in time, none used twice. */
function nearestPairs<T extends { l: PrintFacts }>(firsts: readonly T[], seconds: readonly T[]): [T, T][] {
	const distances = firsts
		.flatMap((a) => seconds.map((b) => ({ a, b, apart: Math.abs(a.l.attempt.at - b.l.attempt.at) })))
		.sort((x, y) => x.apart - y.apart);
	const used = new Set<T>();
	return distances.flatMap(({ a, b }): [T, T][] => {
		if (used.has(a) || used.has(b)) return [];
		used.add(a).add(b);
		return [[a, b]];
	});
}

function unlike(first: PrintFacts, second: PrintFacts): string[] {
	const names = new Set([...Object.keys(first.facts), ...Object.keys(second.facts)]);
	// What was not said of one of the two may have been equal.
	return [...names].filter((n) => first.facts[n] !== undefined && second.facts[n] !== undefined && first.facts[n] !== second.facts[n]);
}

function valueOfMark({ evidence, attempt, marks }: PrintFacts, basis: PairedBasis, mark: MarkDef): number | null {
	const value = printValues({ marks, basis }, mark)[0]?.value;
	if (value === undefined) return null;
	if (mark.kind !== 'measure' || mark.against === undefined) return value;
	const meant = evidence.pieces.find((p) => p.id === attempt.pieceId)?.params?.[mark.against];
	return meant === undefined ? null : ((meant - value) / meant) * 100;
}

function successOf({ attempt }: PrintFacts, rule: FailureRule): number | null {
	if (attempt.outcome === 'finished') return 1;
	return attempt.cause === 'filament' || (rule === 'unknown' && attempt.cause === 'unknown') ? 0 : null;
}
