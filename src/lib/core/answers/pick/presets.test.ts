import { expect, it } from 'vitest';
import { USE_PRESETS } from '../../record/lists/closed-lists';
import { isKnownQuantity } from './known-quantities';
import { presetCriteria } from './presets';

/** Importance by family or quantity, and the limits, of each use (house choice, no source). */
const EXPECTED: Record<(typeof USE_PRESETS)[number], [weights: string, limits: string]> = {
	fineLooks: ['looks 10, printsEasily 4, keepsSize 2, keepsDry 2, cost 3, printSuccess 1', 'printSuccess atLeast 0.5'],
	benchJigs: ['looks 4, holds 5, printsEasily 8, keepsSize 3, cost 8, printSuccess 1', 'printSuccess atLeast 0.5'],
	outdoorBrackets: [
		'looks 5, holds 7, printsEasily 6, keepsSize 3, keepsDry 3, cost 5, printSuccess 1, overhang 1, softening 0',
		'printSuccess atLeast 0.5, overhang atLeast 45, softening atLeast 50'
	],
	flexibleParts: ['looks 4, holds 2, printsEasily 8, feeds 5, keepsSize 3, keepsDry 4, cost 4, printSuccess 1', 'printSuccess atLeast 0.5'],
	own: ['looks 5, holds 5, printsEasily 5, keepsSize 2, keepsDry 2, cost 5', '']
};

it.each(USE_PRESETS)('%s begins with its importance and limits, in any order', (preset) => {
	const criteria = presetCriteria(preset);
	const sorted = (text: string) => text.split(', ').toSorted().join(', ');
	const [weights, limits] = EXPECTED[preset];
	expect(sorted(criteria.map((c) => `${c.quantity.replace('family.', '')} ${c.weight}`).join(', '))).toBe(sorted(weights));
	expect(sorted(criteria.flatMap((c) => (c.gate ? [`${c.quantity} ${c.gate.op} ${c.gate.limit}`] : [])).join(', '))).toBe(sorted(limits));
	expect(criteria.every((c) => isKnownQuantity(c.quantity))).toBe(true);
});

it('a criterion is about a quantity, a family or a measure of one’s own, and nothing else', () => {
	const own = '01a21fe1-e513-7643-9d31-eeda4f4a665e';
	expect(['costPerGoodKg', 'overhang', 'family.looks', `own.${own}`].map(isKnownQuantity)).toEqual([true, true, true, true]);
	expect(['gloss', 'family.gloss', 'own.', `own.${own}x`, `xown.${own}`, `own.${own.slice(1)}`].map(isKnownQuantity)).toEqual(
		Array<boolean>(6).fill(false)
	);
});
