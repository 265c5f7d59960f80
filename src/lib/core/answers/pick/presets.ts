import { FAMILIES, type USE_PRESETS, type Family } from '../../record/lists/closed-lists';
import { familyCriterion } from './families';
import type { Criterion } from './types';

export type UsePreset = (typeof USE_PRESETS)[number];

const weigh = (quantity: string, weight: number, gate: Criterion['gate'] = null): Criterion => ({ quantity, weight, gate });

/** Importance of families in the order of the list. */
const families = (of: Partial<Record<Family, number>>): Criterion[] =>
	FAMILIES.flatMap((family) => (of[family] === undefined ? [] : [weigh(familyCriterion(family), of[family])]));

/** At least every second print finishes. */
const FINISHES = weigh('printSuccess', 1, { op: 'atLeast', limit: 0.5 });

/**
 * Where a use begins: importance of families (0 to 10) and limits, all changeable afterwards (common practice, no source).
 * @example presetCriteria('fineLooks').find((c) => c.quantity === 'family.looks')?.weight // 10
 */
export function presetCriteria(preset: UsePreset): Criterion[] {
	switch (preset) {
		case 'fineLooks':
			return [...families({ looks: 10, printsEasily: 4, keepsSize: 2, keepsDry: 2, cost: 3 }), FINISHES];
		case 'benchJigs':
			return [...families({ looks: 4, holds: 5, printsEasily: 8, keepsSize: 3, cost: 8 }), FINISHES];
		case 'outdoorBrackets':
			return [
				...families({ looks: 5, holds: 7, printsEasily: 6, keepsSize: 3, keepsDry: 3, cost: 5 }),
				FINISHES,
				weigh('overhang', 1, { op: 'atLeast', limit: 45 }),
				weigh('softening', 0, { op: 'atLeast', limit: 50 })
			];
		case 'flexibleParts':
			return [...families({ looks: 4, holds: 2, printsEasily: 8, feeds: 5, keepsSize: 3, keepsDry: 4, cost: 4 }), FINISHES];
		case 'own':
			return families({ looks: 5, holds: 5, printsEasily: 5, keepsSize: 2, keepsDry: 2, cost: 5 });
	}
}
