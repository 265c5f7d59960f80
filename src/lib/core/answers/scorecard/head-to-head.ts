import { alikeEnough, sideOf } from '../../judging/compare/apart';
import type { RankedFinding } from '../pick/ranked-finding';
import { isMeasured } from '../../judging/finding/measured';
import type { QuantityDef } from '../../judging/finding/types';

/** In what one spool is better than another, worse, alike enough, or not told apart; quantities by id, in their order. */
export type HeadToHead = { better: string[]; worse: string[]; alike: string[]; open: string[] };

type Findings = Readonly<Record<string, RankedFinding | undefined>>;

const measured = (finding: RankedFinding | undefined): finding is RankedFinding => finding !== undefined && isMeasured(finding);

/**
 * Two spools side by side, quantity by quantity: only what was measured on both. Better or worse is told at 95 % over all quantities together; what
 * differs clearly, but by less than matters, is alike.
 * Source: `apart.ts`.
 * @example headToHead(a, b, [overhang, strings]).better // ['overhang']
 */
export function headToHead(a: Findings, b: Findings, defs: readonly QuantityDef[]): HeadToHead {
	const found: HeadToHead = { better: [], worse: [], alike: [], open: [] };
	const both = defs.flatMap((def) => {
		const [first, second] = [a[def.id], b[def.id]];
		return measured(first) && measured(second) ? [{ def, first, second }] : [];
	});
	for (const { def, first, second } of both) {
		if (alikeEnough(first, second, def)) found.alike.push(def.id);
		else found[sideOf(first, second, def, both.length)].push(def.id);
	}
	return found;
}
