import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES, type Family } from '../../record/lists/closed-lists';
import type { QuantityDef } from '../../judging/finding/types';
import { markQuantity } from '../../stations/prints/marks/marks';
import { STATIONS } from '../../joins/registry';
import { NEUTRAL_BASIS } from '../../judging/trial/neutral-basis';
import { askedFor, familyCriterion, measuredOn, notCounted, pickInput, weighedOf } from './families';
import { presetCriteria } from './presets';
import type { Candidate, Criterion } from './types';

const DEFS = STATIONS.flatMap((s) => s.quantities(NEUTRAL_BASIS));
const c = (quantity: string, weight: number, gate: Criterion['gate'] = null): Criterion => ({ quantity, weight, gate });
const looks = (weight: number) => c('family.looks', weight);
const measured =
	(...ids: string[]) =>
	(id: string) =>
		ids.includes(id);
const weights = (criteria: Criterion[], ...ids: string[]) =>
	Object.fromEntries(weighedOf(criteria, DEFS, measured(...ids)).map((w) => [w.quantity, w.weight]));

describe('importance of a family', () => {
	it('is dealt out in equal parts to what was measured, whatever was not', () => {
		expect(weights([looks(6)], 'overhang', 'bridge', 'strings')).toEqual({ overhang: 2, bridge: 2, strings: 2 });
		expect(weights([looks(6)], 'surface')).toEqual({ surface: 6 });
		expect(weights([looks(6)])).toEqual({});
	});
	it('goes by aspects: strings told in two ways share one part', () => {
		expect(weights([looks(6)], 'strings', 'stringCount', 'bridge')).toEqual({ strings: 1.5, stringCount: 1.5, bridge: 3 });
	});
	it('a member counts as much as is said beside the others, or not at all', () => {
		expect(weights([looks(6), c('strings', 3)], 'strings', 'bridge')).toEqual({ strings: 4.5, bridge: 1.5 });
		expect(weights([looks(6), c('strings', 0)], 'strings', 'bridge')).toEqual({ strings: 0, bridge: 6 });
	});
	it('leaves limits where they are, and quantities of other families to their own weight', () => {
		const gate = { op: 'atLeast', limit: 45 } as const;
		const found = weighedOf([looks(6), c('overhang', 1, gate), c('strengthLoad', 4)], DEFS, measured('overhang', 'bridge'));
		expect(found).toEqual([
			{ quantity: 'overhang', weight: 3, gate, family: 'looks' },
			{ quantity: 'bridge', weight: 3, gate: null, family: 'looks' },
			{ quantity: 'strengthLoad', weight: 4, gate: null, family: 'holds' }
		]);
	});
	it('without one, quantities count as they did before there were families', () => {
		expect(weights([c('overhang', 3), c('strings', 5)], 'overhang')).toEqual({ overhang: 3, strings: 5 });
	});
	it('is never lost and never made: the parts sum to it', () => {
		const ids = DEFS.filter((d) => d.family === 'looks').map((d) => d.id);
		fc.assert(
			fc.property(
				fc.subarray(ids, { minLength: 1 }),
				fc.float({ min: Math.fround(0.5), max: 10, noNaN: true }),
				fc.dictionary(fc.constantFrom(...ids), fc.integer({ min: 1, max: 5 })),
				(seen, importance, own) => {
					const criteria = [looks(importance), ...Object.entries(own).map(([q, w]) => c(q, w))];
					const dealt = Object.values(weights(criteria, ...seen)).reduce((a, b) => a + b, 0);
					expect(dealt).toBeCloseTo(importance, 6);
				}
			)
		);
	});
});

describe('what is asked for', () => {
	it('are the usual marks of a family that matters, though nothing was measured; the rarer ones only once they are', () => {
		const before = askedFor([looks(6)], DEFS, () => false).weights;
		expect([before.overhang, before.strings, before.surface, before.strengthLoad]).toEqual([6, 6, 0, 0]);
		const after = askedFor([looks(6)], DEFS, measured('surface')).weights;
		expect([after.overhang, after.surface]).toEqual([6, 6]);
		const counted = askedFor([looks(6)], DEFS, measured('strings', 'stringCount')).weights;
		expect([counted.strings, counted.stringCount]).toEqual([6, 0]);
		expect(askedFor([looks(6)], DEFS, measured('stringCount')).weights.stringCount).toBe(6);
		expect(askedFor([looks(6), c('stringCount', 2)], DEFS, measured('strings', 'stringCount')).weights.stringCount).toBe(4);
	});
	it('what is put away is asked for nowhere, though its family matters; a limit alone is not put away', () => {
		const gate = { op: 'atLeast', limit: 45 } as const;
		const { weights: asked, away } = askedFor([looks(6), c('bridge', 0), c('overhang', 0, gate)], DEFS, measured('bridge'));
		expect([...away]).toEqual(['bridge']);
		expect([asked.bridge, asked.overhang]).toEqual([0, 6]);
	});
});

describe('measured, not counted', () => {
	const names = (criteria: Criterion[], ...ids: string[]) =>
		notCounted(weighedOf(criteria, DEFS, measured(...ids)), DEFS, measured(...ids)).map((d: QuantityDef) => d.id);
	it('is named: what belongs to no family, and what was put away', () => {
		expect(names([looks(6)], 'overhang', 'printOdour', 'bedHold')).toEqual(['bedHold', 'printOdour']);
		expect(names([looks(6), c('bridge', 0)], 'overhang', 'bridge')).toEqual(['bridge']);
	});
	it('is not what is told in another way already, nor what was not measured', () => {
		expect(names([c('strings', 3)], 'strings', 'stringCount')).toEqual([]);
		expect(names([looks(6)], 'overhang')).toEqual([]);
	});
});

describe('presets', () => {
	it('every use weighs families only, and every family has members', () => {
		for (const preset of ['fineLooks', 'benchJigs', 'outdoorBrackets', 'flexibleParts', 'own'] as const) {
			const ids = presetCriteria(preset)
				.filter((p) => p.quantity.startsWith('family.'))
				.map((p) => p.quantity);
			expect(ids).toContain('family.cost');
			expect(new Set(ids).size).toBe(ids.length);
		}
		for (const family of FAMILIES as readonly Family[]) {
			expect(DEFS.some((d) => d.family === family)).toBe(true);
			expect(familyCriterion(family)).toBe(`family.${family}`);
		}
	});
	it('a mark belongs to its aspect: both sides of an overhang are one', () => {
		expect(markQuantity('overhang').aspect).toBe(markQuantity('overhangAway').aspect);
	});
});

describe('what was measured on some spools', () => {
	const found = (n: number, estimate: number | null, method = 'm'): Candidate =>
		({ spoolId: 's', code: 'KA1', findings: { overhang: { n, estimate, method } } }) as unknown as Candidate;
	const is = (...candidates: Candidate[]) => measuredOn(candidates)('overhang');
	it('is what any of them has a reading or a figure of, but no figure of the handbook', () => {
		expect([is(), is(found(0, null)), is({ spoolId: 's', code: 'KA1', findings: {} })]).toEqual([false, false, false]);
		expect([is(found(2, 60)), is(found(0, 60)), is(found(2, null)), is(found(0, null), found(1, 55))]).toEqual([true, true, true, true]);
		expect([is(found(0, 60, 'handbook')), is(found(2, 60, 'handbook'))]).toEqual([false, false]);
		expect(measuredOn([found(2, 60)])('bridge')).toBe(false);
	});
	it('is what its pick weighs, under its rule and beside its references', () => {
		const candidates = [found(2, 60)];
		const input = pickInput({ candidates, defs: DEFS }, [looks(6)], 'cheapest', ['s']);
		expect(input).toMatchObject({ candidates, rule: 'cheapest', references: ['s'] });
		expect(input.criteria.map((w) => [w.quantity, w.weight])).toEqual([['overhang', 6]]);
		expect(pickInput({ candidates: [], defs: DEFS }, [looks(6)], 'weighted')).toMatchObject({ criteria: [], references: [] });
	});
});
