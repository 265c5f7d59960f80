import { FAMILIES, type Family } from '../../record/lists/closed-lists';
import { isOfOthers } from '../../judging/finding/measured';
import type { QuantityDef } from '../../judging/finding/types';
import type { Candidate, Criterion, PickInput, Weighed } from './types';

/**
 * The criterion by which a family is given importance.
 * @example familyCriterion('looks') // 'family.looks'
 */
export const familyCriterion = (family: Family): string => `family.${family}`;

const CRITERIA = new Map<string, Family>(FAMILIES.map((family) => [familyCriterion(family), family]));

/**
 * The family a criterion gives importance to; null where it is about one quantity.
 * @example familyOfCriterion('family.looks') // 'looks'
 */
export const familyOfCriterion = (quantity: string): Family | null => CRITERIA.get(quantity) ?? null;

/**
 * Importance given to families, dealt out to the quantities that were measured. In a family every aspect counts alike, and quantities of one aspect
 * share its part; a criterion of a member's own says how much it counts beside the others (1 if not said, 0 for not at all). A family of which nothing
 * was measured counts nothing. A quantity whose family has no importance of its own counts as its criterion says.
 * Source: additive value with a tree of objectives (Keeney & Raiffa 1976, ch. 2); equal parts in a family: house rule.
 * @param measured whether a quantity was measured on any candidate
 * @returns one criterion a quantity; limits stay
 * @example weighedOf([{ quantity: 'family.looks', weight: 6, gate: null }], defs, () => true).length // as many as looks has members
 */
export function weighedOf(
	criteria: readonly Criterion[],
	defs: readonly QuantityDef[],
	measured: (quantity: string) => boolean
): Weighed[] {
	const importance = new Map(
		criteria.flatMap((c): [Family, number][] => {
			const family = familyOfCriterion(c.quantity);
			return family === null ? [] : [[family, c.weight]];
		})
	);
	const said = new Map(criteria.map((c) => [c.quantity, c]));
	const relative = (def: QuantityDef): number => (measured(def.id) ? (said.get(def.id)?.weight ?? 1) : 0);
	return defs.flatMap((def): Weighed[] => {
		const own = said.get(def.id);
		const given = def.family === null ? undefined : importance.get(def.family);
		const weight = given === undefined ? (own?.weight ?? 0) : given * partOf(def, defs, relative);
		return weight > 0 || own ? [{ quantity: def.id, weight, gate: own?.gate ?? null, family: def.family }] : [];
	});
}

const aspectOf = (def: QuantityDef): string => def.aspect ?? def.id;

/** A quantity's part of its family, 0 to 1. */
function partOf(def: QuantityDef, defs: readonly QuantityDef[], relative: (def: QuantityDef) => number): number {
	const counted = defs.filter((d) => d.family === def.family && relative(d) > 0);
	/** An aspect counts as much as its members on average. */
	const inAspect = (aspect: string) => counted.filter((d) => aspectOf(d) === aspect);
	const mean = (of: readonly QuantityDef[]) => of.reduce((total, d) => total + relative(d), 0) / of.length;
	const total = [...new Set(counted.map(aspectOf))].reduce((sum, aspect) => sum + mean(inAspect(aspect)), 0);
	return total === 0 ? 0 : relative(def) / inAspect(aspectOf(def)).length / total || 0;
}

/**
 * What was measured and counts nowhere, though it could: it is named over the pick.
 * @example notCounted(weighed, defs, (q) => q === 'printOdour').map((d) => d.id) // ['printOdour']
 */
export function notCounted(
	weighed: readonly Weighed[],
	defs: readonly QuantityDef[],
	measured: (quantity: string) => boolean
): QuantityDef[] {
	const counts = new Set(weighed.filter((w) => w.weight > 0).map((w) => w.quantity));
	/** The same told in another way counts already. */
	const told = new Set(defs.filter((d) => counts.has(d.id)).map(aspectOf));
	// What is told and never weighed is no omission.
	return defs.filter((d) => d.onSheet !== false && d.onSheet !== 'seen' && measured(d.id) && !counts.has(d.id) && !told.has(aspectOf(d)));
}

/**
 * Whether something was measured on any of some spools; a figure of the handbook was measured on others.
 * @example measuredOn(candidates)('overhang') // true
 */
export const measuredOn =
	(candidates: readonly Candidate[]) =>
	(quantity: string): boolean =>
		candidates.some(({ findings }) => {
			const finding = findings[quantity];
			// A price makes a cost, printed or not.
			return finding !== undefined && !isOfOthers(finding) && (finding.n > 0 || finding.estimate !== null);
		});

/**
 * A pick from what was measured, as it is weighed.
 * @example pickInput({ candidates, defs }, criteria, 'weighted').criteria.length // one a quantity that counts
 */
export const pickInput = (
	{ candidates, defs }: Pick<PickInput, 'candidates' | 'defs'>,
	criteria: readonly Criterion[],
	rule: PickInput['rule'],
	references: readonly string[] = []
): PickInput => ({ candidates, defs, rule, references, criteria: weighedOf(criteria, defs, measuredOn(candidates)) });

/** What the sheet asks for and shows, by quantity; and what the tester has put away, which is asked for and shown nowhere. */
export type Asked = { weights: Record<string, number>; away: ReadonlySet<string> };

/**
 * What is worth asking for: what counts or has a limit, and the usual members of a family that matters, measured or not. A quantity that was given no
 * weight at all in its family is put away.
 * @example askedFor([{ quantity: 'family.looks', weight: 6, gate: null }], defs, () => false).weights.overhang // 6
 */
export function askedFor(criteria: readonly Criterion[], defs: readonly QuantityDef[], measured: (quantity: string) => boolean): Asked {
	const importance = (family: Family | null) =>
		criteria.find((c) => family !== null && c.quantity === familyCriterion(family))?.weight ?? 0;
	const said = new Map(criteria.map((c) => [c.quantity, c]));
	const away = new Set(
		criteria.filter((c) => c.weight === 0 && c.gate === null && familyOfCriterion(c.quantity) === null).map((c) => c.quantity)
	);
	const counts = new Map(weighedOf(criteria, defs, measured).map((w) => [w.quantity, w.weight]));
	/** Where the usual way to tell something was taken, the rarer ones stand on the spool's own page. */
	const isTold = (def: QuantityDef) =>
		def.onSheet === 'weighed' && defs.some((d) => d.onSheet === true && aspectOf(d) === aspectOf(def) && measured(d.id) && !away.has(d.id));
	const weightOf = (def: QuantityDef): number => {
		if (away.has(def.id)) return 0;
		const own = said.get(def.id);
		if (isTold(def) && !(own && (own.weight > 0 || own.gate))) return 0;
		const usual = def.onSheet === true ? importance(def.family) : 0;
		return Math.max(counts.get(def.id) ?? 0, usual, own?.gate ? 1 : 0);
	};
	return { weights: Object.fromEntries(defs.map((def) => [def.id, weightOf(def)])), away };
}
