import { familyCriterion, familyOfCriterion } from '$lib/core/answers/pick/families';
import type { Criterion } from '$lib/core/answers/pick/types';
import type { Family } from '$lib/core/record/lists/closed-lists';
import type { QuantityDef } from '$lib/core/judging/finding/types';
import { FAMILY_WORDS } from '../../words/closed-lists';
import { quantityName } from '../../words/quantities';

/** What something has that begins to count. */
const FIRST_WEIGHT = 3;

const has = (criteria: readonly Criterion[], quantity: string) => criteria.some((c) => c.quantity === quantity);

/** A criterion put in its place among the others. */
export const withCriterion = (criteria: readonly Criterion[], next: Criterion): Criterion[] =>
	has(criteria, next.quantity) ? criteria.map((c) => (c.quantity === next.quantity ? next : c)) : [...criteria, next];

/** Whether a quantity counts through the importance of its family. */
export const isInFamily = (criteria: readonly Criterion[], def: QuantityDef): boolean =>
	def.family !== null && has(criteria, familyCriterion(def.family));

/** Members of its family that count by themselves: rules of a time before families were given importance. */
const hasOwnWeights = (criteria: readonly Criterion[], family: Family, defs: readonly QuantityDef[]): boolean =>
	criteria.some((c) => c.weight > 0 && defs.some((d) => d.id === c.quantity && d.family === family));

/** Criteria in which a quantity counts: with its family where that has importance or can be given some, else by itself. */
export function counting(criteria: readonly Criterion[], def: QuantityDef, defs: readonly QuantityDef[]): Criterion[] {
	const own = criteria.find((c) => c.quantity === def.id);
	if (isInFamily(criteria, def)) {
		if (own?.gate) return withCriterion(criteria, { ...own, weight: 1 });
		return criteria.filter((c) => c.quantity !== def.id);
	}
	if (def.family !== null && !hasOwnWeights(criteria, def.family, defs)) {
		const family = { quantity: familyCriterion(def.family), weight: FIRST_WEIGHT, gate: null };
		return counting([...criteria, family], def, defs);
	}
	return withCriterion(criteria, { quantity: def.id, weight: FIRST_WEIGHT, gate: own?.gate ?? null });
}

/** Criteria in which a quantity does not count; a limit on it stays. */
export const notCounting = (criteria: readonly Criterion[], def: QuantityDef): Criterion[] =>
	withCriterion(criteria, { quantity: def.id, weight: 0, gate: criteria.find((c) => c.quantity === def.id)?.gate ?? null });

/** Criteria with a limit on a quantity, or without it; how much it counts stays. */
export function limiting(criteria: readonly Criterion[], def: QuantityDef, gate: Criterion['gate']): Criterion[] {
	const own = criteria.find((c) => c.quantity === def.id);
	const weight = own?.weight ?? (isInFamily(criteria, def) ? 1 : 0);
	if (gate === null && isInFamily(criteria, def) && weight === 1) return criteria.filter((c) => c.quantity !== def.id);
	return withCriterion(criteria, { quantity: def.id, weight, gate });
}

/** The name of what is weighed: a family, or a quantity by itself. */
export function criterionName(id: string, defs: readonly QuantityDef[]): string {
	const family = familyOfCriterion(id);
	const def = defs.find((d) => d.id === id);
	return family ? FAMILY_WORDS[family] : def ? quantityName(def) : id;
}
