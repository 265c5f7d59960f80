import { describe, expect, it } from 'vitest';
import { strengthByHand } from '$lib/core/stations/strength/quantities';
import { goodForFamilyWords, goodForPartWords } from './good-for';

const codeOf = (id: string) => id.toUpperCase();
const byHand = strengthByHand({ strengthHighN: 400, specimenKinds: { load: null, blows: null, byHand: null } });

describe('what each spool is good for, in words', () => {
	it('by its family, or by the name that a measure of one’s own has', () => {
		const split = { best: ['a', 'b'], behind: ['c'] };
		expect(goodForFamilyWords({ id: 'family.looks', ...split }, { codeOf, defs: [] })).toEqual({ use: 'Looks', text: 'A, B; behind: C' });
		const own = { ...byHand, id: 'own.1', name: 'Clip grip' };
		expect(goodForFamilyWords({ id: 'own.1', ...split }, { codeOf, defs: [own] }).use).toBe('Clip grip');
	});
	it('by the kind of test part, with what each came to', () => {
		const ranged = (estimate: number) => ({
			estimate,
			n: 5,
			interval: { low: estimate - 1, high: estimate + 1, level: 0.95, kind: 'credible' as const }
		});
		const found = { def: byHand, variant: 'bar · flat · byHand', values: { a: ranged(3), c: ranged(1) }, best: ['a'], behind: ['c'] };
		expect(goodForPartWords(found, { codeOf })).toEqual({
			use: 'By hand, bar, flat, by hand',
			text: 'A bends (resists to holds; n 5); behind: C snaps (crumbles to resists; n 5)'
		});
	});
});
