import { marksOf, perPrint, type Group } from './group';
import type { MarkDef } from './marks';

/**
 * What each print was given for a mark, one value a print, in the unit of its readings: the last clean step of a ladder, a length, the
 * rank of a word. Of several faults the worst counts; of several scorers the mean, for words the nearest one, the worse where it lies
 * between. Every comparison of prints rests on this.
 * Source: house rule.
 * @example printValues({ evidence, attempts }, MARKS[0]) // [{ attemptId: 'a1', value: 62.5 }]
 */
export function printValues(of: Pick<Group, 'evidence' | 'attempts'>, mark: MarkDef): { attemptId: string; value: number }[] {
	if (mark.kind === 'ladder') return perPrint(marksOf(of, mark.lastClean));
	if (mark.kind === 'measure') return perPrint(marksOf(of, mark.reading));
	const counted = mark.readings.flatMap((quantity) => marksOf(of, quantity)).filter((r) => r.status === 'counts');
	const keyOf = (r: (typeof counted)[number]) => `${r.attemptId} ${r.scorer ?? ''}`;
	const worst = new Map<string, (typeof counted)[number]>();
	for (const r of counted) if (r.value >= (worst.get(keyOf(r))?.value ?? -1)) worst.set(keyOf(r), r);
	const nearest = mark.def.direction === 'less' ? (v: number) => Math.floor(v + 0.5) : (v: number) => Math.ceil(v - 0.5);
	return perPrint([...worst.values()]).map(({ attemptId, value }) => ({ attemptId, value: nearest(value) }));
}
