import type { USE_PRESETS } from '../closed-lists';
import type { Criterion } from './types';

export type UsePreset = (typeof USE_PRESETS)[number];

const weigh = (quantity: string, weight: number, gate: Criterion['gate'] = null): Criterion => ({ quantity, weight, gate });

/**
 * Where a use begins: criteria, weights (0 to 10) and gates, all changeable afterwards (common practice, no source).
 * @example presetCriteria('fineLooks').find((c) => c.quantity === 'strings')?.weight // 8
 */
export function presetCriteria(preset: UsePreset): Criterion[] {
	switch (preset) {
		case 'fineLooks':
			return [
				weigh('printSuccess', 4, { op: 'atLeast', limit: 0.5 }),
				weigh('overhang', 6),
				weigh('bridge', 4),
				weigh('strings', 8),
				// A mean off nominal is one flow setting; an uneven strand shows in every wall.
				weigh('diameterMean', 1),
				weigh('diameterInside', 2),
				weigh('waterUptake', 2),
				weigh('costPerGoodKg', 3)
			];
		case 'benchJigs':
			return [
				weigh('printSuccess', 8, { op: 'atLeast', limit: 0.5 }),
				weigh('overhang', 3),
				weigh('bridge', 3),
				weigh('strings', 2),
				weigh('diameterMean', 3),
				weigh('strengthLoad', 5),
				weigh('costPerGoodKg', 8)
			];
		case 'outdoorBrackets':
			return [
				weigh('printSuccess', 8, { op: 'atLeast', limit: 0.5 }),
				weigh('overhang', 4, { op: 'atLeast', limit: 45 }),
				weigh('bridge', 4),
				weigh('strings', 3),
				weigh('diameterMean', 3),
				weigh('strengthLoad', 6),
				weigh('waterUptake', 3),
				weigh('dryingLoss', 1),
				weigh('softening', 0, { op: 'atLeast', limit: 50 }),
				weigh('costPerGoodKg', 5)
			];
		case 'flexibleParts':
			return [
				weigh('printSuccess', 10, { op: 'atLeast', limit: 0.5 }),
				weigh('strings', 4),
				weigh('feedRate', 3),
				weigh('loadEffort', 2),
				weigh('bridge', 2),
				weigh('overhang', 2),
				weigh('diameterMean', 4),
				weigh('waterUptake', 3),
				weigh('dryingLoss', 2),
				weigh('costPerGoodKg', 4)
			];
		case 'own':
			return [
				weigh('printSuccess', 5),
				weigh('overhang', 5),
				weigh('bridge', 5),
				weigh('strings', 5),
				weigh('strengthLoad', 5),
				weigh('waterUptake', 2),
				weigh('costPerGoodKg', 5)
			];
	}
}
