import { sum } from 'd3-array';
import { moments } from '../../judging/sampling/moments';
import { VALUE_RULES } from '../../record/lists/closed-lists';
import { orderRows } from './rows';
import type { PickInput, PickRow } from './types';

/** Weights run from 0 to 10; a turn beyond that is no turn. */
const HEAVIEST = 10;

export type Explanation = {
	/** The criterion that parts first from second most, in the weighted value; null when there is no second or the rule does not weigh. */
	decidedBy: { quantity: string; lead: number } | null;
	/** A weight that would turn first and second, and where; null when no single weight can. */
	turnsAt: { quantity: string; from: number; to: number } | null;
	/** The measurement that would most firm up the order of first and second. */
	firmUp: { quantity: string; spoolId: string } | null;
	/** What the other value rules would pick. */
	otherRules: { rule: PickInput['rule']; spoolId: string | null }[];
};

/**
 * Why the first place is first. Exact for the additive value: the lead is the sum of weighted value differences, so each weight's
 * turning point solves a linear equation. `firmUp` is the criterion with the largest share in the variance of the lead.
 * Source: arithmetic on the additive value (Keeney & Raiffa 1976); variance share as a first step to the value of information.
 * @example explain(input, pickFrom(input, blocks).rows).decidedBy // { quantity: 'strings', lead: 0.06 }
 */
export function explain(input: PickInput, rows: readonly PickRow[]): Explanation {
	const [first, second] = rows.filter((r) => r.eligible);
	// Under the other rules the lead is no sum of weighted values, so nothing is said of its parts.
	const weighed = input.rule === 'weighted';
	return {
		decidedBy: first && second && weighed ? decidedBy(first, second) : null,
		turnsAt: first && second && weighed ? turnsAt(first, second) : null,
		firmUp: first ? firmUp(input, first, second ?? null) : null,
		otherRules: VALUE_RULES.filter((rule) => rule !== input.rule).map((rule) => ({ rule, spoolId: firstUnder(rows, rule) }))
	};
}

/** The same draws, put in order by another rule; nobody where what the rule goes by is not known. */
function firstUnder(rows: readonly PickRow[], rule: PickInput['rule']): string | null {
	const [top] = orderRows(
		rows.map((row) => ({ ...row })),
		rule
	);
	if (!top?.eligible || top.neverFinished) return null;
	const known = rule === 'strongest' ? top.strength : rule === 'weighted' ? top.score : top.cost;
	return known === null ? null : top.spoolId;
}

/** Weighted value differences, first minus second, by criterion; they sum to the lead. */
function leads(first: PickRow, second: PickRow): { quantity: string; weight: number; difference: number; lead: number }[] {
	const total = sum(first.parts, (p) => p.weight);
	return first.parts.map((part) => {
		const other = second.parts.find((p) => p.quantity === part.quantity);
		const difference = part.value - (other?.value ?? 0);
		return { quantity: part.quantity, weight: part.weight, difference, lead: (part.weight * difference) / total };
	});
}

function decidedBy(first: PickRow, second: PickRow): Explanation['decidedBy'] {
	const best = leads(first, second).reduce<{ quantity: string; lead: number } | null>(
		(top, l) => (top === null || l.lead > top.lead ? l : top),
		null
	);
	return best && best.lead > 0 ? { quantity: best.quantity, lead: best.lead } : null;
}

/** Sum over i of w_i d_i = 0 solved for one weight; the smallest relative change wins. */
function turnsAt(first: PickRow, second: PickRow): Explanation['turnsAt'] {
	const all = leads(first, second);
	const turns = all.flatMap((one) => {
		if (Math.abs(one.difference) < 1e-9) return [];
		const rest = sum(all, (o) => (o === one ? 0 : o.weight * o.difference));
		const to = -rest / one.difference;
		return to >= 0 && to <= HEAVIEST && to !== one.weight ? [{ quantity: one.quantity, from: one.weight, to }] : [];
	});
	return turns.reduce<Explanation['turnsAt']>((best, t) => (best === null || change(t) < change(best) ? t : best), null);
}

function change(turn: { from: number; to: number }): number {
	return Math.abs(turn.to - turn.from) / Math.max(turn.from, 0.01);
}

function firmUp(input: PickInput, first: PickRow, second: PickRow | null): Explanation['firmUp'] {
	let best: { quantity: string; spoolId: string; share: number } | null = null;
	for (const row of second ? [first, second] : [first])
		for (const part of row.parts) {
			const def = input.defs.find((d) => d.id === part.quantity);
			const finding = input.candidates.find((c) => c.spoolId === row.spoolId)?.findings[part.quantity];
			// Measuring firms up no price and no figure out of the handbook.
			if (!def || finding?.sampling.kind === 'exact' || finding?.method === 'handbook') continue;
			const spread = finding ? moments(finding.sampling) : null;
			const sd = spread?.sd ?? (def.prior.high - def.prior.low) / Math.sqrt(12);
			const share = part.weight * (sd / (def.scale.high - def.scale.low));
			if (best === null || share > best.share) best = { quantity: part.quantity, spoolId: row.spoolId, share };
		}
	return best ? { quantity: best.quantity, spoolId: best.spoolId } : null;
}
