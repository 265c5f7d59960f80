import { group, max } from 'd3-array';
import { sideOf } from '../../judging/compare/apart';
import { isMeasured, rangedOf, type Ranged } from '../../judging/finding/measured';
import type { Finding, QuantityDef } from '../../judging/finding/types';
import type { PickRow } from './types';

/** Who is good for something: as good as the best there, as far as one can tell, and who is clearly behind. Spools by id. */
export type GoodFor = { best: string[]; behind: string[] };

/** The same of a family of quantities, or of one quantity weighed by itself. */
export type GoodForFamily = GoodFor & { id: string };

/** The same of one kind of test part, with what each spool came to. */
export type GoodForPart = GoodFor & { def: QuantityDef; variant: string; values: Record<string, Ranged> };

/**
 * Which spools are good for what counts: in each family those whose range reaches the best one's. Where nobody is clearly behind nothing is told.
 * Source: ranges that do not overlap are apart, which errs on the careful side (common practice).
 * @example goodForFamilies(rows)[0] // { id: 'family.looks', best: ['s1', 's3'], behind: ['s2'] }
 */
export function goodForFamilies(rows: readonly Pick<PickRow, 'spoolId' | 'families'>[]): GoodForFamily[] {
	const values = rows.flatMap(({ spoolId, families }) => families.filter((f) => f.known).map((f) => ({ ...f, spoolId })));
	return [...group(values, (v) => v.id)].flatMap(([id, of]) => {
		const best = of.reduce((a, b) => (b.value > a.value ? b : a));
		const split = {
			best: of.filter((v) => v.high >= best.low).map((v) => v.spoolId),
			behind: of.filter((v) => v.high < best.low).map((v) => v.spoolId)
		};
		return split.behind.length === 0 ? [] : [{ id, ...split }];
	});
}

/**
 * The same of every kind of test part that several spools have: along and across the layers, drilled or plain, by hand or by load. Told at 95 % over all
 * comparisons of a kind with its best.
 * Source: `compare/apart.ts`.
 * @param findings of all spools
 * @example goodForParts(findings, defs)[0]?.variant // 'bar · flat · byHand'
 */
export function goodForParts(findings: readonly Finding[], defs: readonly QuantityDef[]): GoodForPart[] {
	const told = findings.filter((f) => f.station === 'strength' && f.subject.variant !== null && f.estimate !== null && isMeasured(f));
	return [...group(told, (f) => `${f.quantity} ${f.subject.variant}`).values()].flatMap((of) => {
		const [first] = of;
		const def = defs.find((d) => d.id === first?.quantity);
		if (!first || !def || new Set(of.map((f) => f.subject.spoolId)).size < 2) return [];
		const most = max(of, (f) => f.estimate as number);
		const best = of.find((f) => f.estimate === most) as Finding;
		const isBehind = (f: Finding) => f !== best && sideOf(f, best, def, of.length - 1) === 'worse';
		const ids = (some: readonly Finding[]) => some.map((f) => f.subject.spoolId);
		const behind = of.filter(isBehind);
		if (behind.length === 0) return [];
		return [
			{
				def,
				variant: first.subject.variant as string,
				values: Object.fromEntries(of.map((f) => [f.subject.spoolId, rangedOf(f)])),
				best: ids(of.filter((f) => !isBehind(f))),
				behind: ids(behind)
			}
		];
	});
}
