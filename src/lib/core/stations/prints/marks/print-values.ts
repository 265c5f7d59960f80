import type { Basis } from '../../../judging/trial/basis';
import { SURFACE_FAULTS } from '../../../record/marks/mark-words';
import type { MarkDef } from './marks';
import type { MarksOn } from './marks-on';
import type { ScorerEffect } from '../../../judging/trial/worked-out';
import { asScorings, readingsOfMark } from './scorings';

/** Marks on the prints to be valued, and the leniencies that are taken out of their marks. */
export type MarkedPrints = { marks: MarksOn; basis: Pick<Basis, 'scorerEffects'> };

/**
 * What each print was given for a mark, one value a print, in the unit of its readings: the last clean step of a ladder, a length, the
 * rank of a word. Of several faults the worst counts; of several scorings the mean, for words the nearest one, the worse where it lies
 * between. A fault that was charged to the printer is none of the filament's. What a scorer gives more than the others is taken off first, where the trial takes it out. Every comparison of prints rests on
 * this.
 * Source: house rule.
 * @example printValues({ marks: marksFinder(evidence)(evidence.attempts), basis }, MARKS[0]) // [{ attemptId: 'a1', value: 62.5 }]
 */
export function printValues(of: MarkedPrints, mark: MarkDef): { attemptId: string; value: number }[] {
	if (mark.kind === 'window') return windowsOf(of, mark).map(({ attemptId, from, to }) => ({ attemptId, value: to - from }));
	const values = meansOf(of, mark, readingsOfMark(mark));
	if (mark.kind !== 'words') return values;
	const last = (mark.def.words?.length ?? 1) - 1;
	const nearest = mark.def.direction === 'less' ? (v: number) => Math.floor(v + 0.5) : (v: number) => Math.ceil(v - 0.5);
	return values.map(({ attemptId, value }) => ({ attemptId, value: Math.min(last, Math.max(0, nearest(value))) }));
}

/**
 * The first faulty step of each print that has one, as printValues gives its last clean one.
 * @example firstFaulties(group, MARKS[0]) // [{ attemptId: 'a1', value: 67.5 }]
 */
export function firstFaulties(of: MarkedPrints, mark: MarkDef & { kind: 'ladder' }): { attemptId: string; value: number }[] {
	return meansOf(of, mark, [mark.firstFaulty]);
}

/**
 * The temperatures between which the floors of each print came out clean.
 * @example windowsOf(group, MARKS[7]) // [{ attemptId: 'a1', from: 205, to: 220 }]
 */
export function windowsOf(of: MarkedPrints, mark: MarkDef & { kind: 'window' }): { attemptId: string; from: number; to: number }[] {
	const tops = meansOf(of, mark, [mark.to]);
	return meansOf(of, mark, [mark.from]).flatMap(({ attemptId, value: from }) => {
		const to = tops.find((t) => t.attemptId === attemptId)?.value;
		return to === undefined ? [] : [{ attemptId, from, to }];
	});
}

/** One value a print: several scorings of the same print are one look each at one thing, so their mean counts, once. */
function meansOf(of: MarkedPrints, mark: MarkDef, readings: readonly string[]): { attemptId: string; value: number }[] {
	const charged = printersFaults(of.marks);
	const counted = readings
		.flatMap((quantity) => (of.marks.get(quantity) ?? []).filter((r) => r.status === 'counts'))
		.map((r) => (charged.has(`${r.attemptId} ${r.quantity}`) ? { ...r, value: 0 } : r));
	const byPrint = new Map<string, { sum: number; n: number }>();
	for (const { attemptId, scorer, value } of asScorings(counted)) {
		const print = byPrint.get(attemptId) ?? { sum: 0, n: 0 };
		byPrint.set(attemptId, print);
		print.sum += value - (leniencyOf(of, mark, scorer)?.shift ?? 0);
		print.n++;
	}
	return [...byPrint].map(([attemptId, { sum, n }]) => ({ attemptId, value: sum / n }));
}

/**
 * Faults of a surface that are the printer's: of these the filament has none.
 * @returns print and fault
 * @example printersFaults(marks).has('a1 surfaceSeam') // true
 */
export function printersFaults(marks: MarksOn): ReadonlySet<string> {
	const charged = (marks.get('printersFault') ?? []).filter((r) => r.status === 'counts');
	return new Set(charged.map((r) => `${r.attemptId} ${SURFACE_FAULTS[r.value]}`));
}

/**
 * What is taken out of one scorer's marks; null where nothing is.
 * @example leniencyOf({ basis }, MARKS[0], 'Ben') ?? 'none known' // 'none known'
 */
export function leniencyOf({ basis }: Pick<MarkedPrints, 'basis'>, { def }: MarkDef, scorer: string | null): ScorerEffect | null {
	return basis.scorerEffects.find((e) => e.quantity === def.id && e.scorer === scorer) ?? null;
}
