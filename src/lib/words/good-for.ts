import type { QuantityDef } from '$lib/core/judging/finding/types';
import type { GoodForFamily, GoodForPart } from '$lib/core/answers/pick/good-for';
import { familyOfCriterion } from '$lib/core/answers/pick/families';
import { FAMILY_WORDS, kindWords } from './closed-lists';
import { quantityName, rangedWords } from './quantities';

type Of = { codeOf: (spoolId: string) => string; defs: readonly QuantityDef[] };

/** Who is good for a family of quantities. @example goodForFamilyWords(found, of) // { use: 'Looks', text: 'HU4, SE6; behind: LA3' } */
export function goodForFamilyWords({ id, best, behind }: GoodForFamily, { codeOf, defs }: Of): { use: string; text: string } {
	const family = familyOfCriterion(id);
	return {
		use: family ? FAMILY_WORDS[family] : quantityName(defs.find((d) => d.id === id) ?? { id }),
		text: `${best.map(codeOf).join(', ')}; behind: ${behind.map(codeOf).join(', ')}`
	};
}

/** Who is good for a kind of test part, each with what it came to. */
export function goodForPartWords(
	{ def, variant, values, best, behind }: GoodForPart,
	{ codeOf }: Pick<Of, 'codeOf'>
): { use: string; text: string } {
	const said = (id: string) => [codeOf(id), ...(values[id] ? [rangedWords(def, values[id])] : [])].join(' ');
	return {
		use: `${quantityName(def)}, ${kindWords(variant)}`,
		text: `${best.map(said).join(', ')}; behind: ${behind.map(said).join(', ')}`
	};
}
