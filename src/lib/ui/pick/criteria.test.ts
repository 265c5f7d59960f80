import { describe, expect, it } from 'vitest';
import { markQuantity } from '$lib/core/stations/prints/marks/marks';
import { costPerGoodKg } from '$lib/core/stations/cost/quantities';
import type { Criterion } from '$lib/core/answers/pick/types';
import { counting, criterionName, limiting, notCounting } from './criteria';

const [overhang, strings, odour] = [markQuantity('overhang'), markQuantity('strings'), markQuantity('printOdour')];
const defs = [overhang, strings, odour, costPerGoodKg({ costReference: null })];
const c = (quantity: string, weight: number, gate: Criterion['gate'] = null): Criterion => ({ quantity, weight, gate });
const gate = { op: 'atLeast', limit: 45 } as const;

describe('what counts', () => {
	it('is put away and counted again with its family, its limit left alone', () => {
		const looks = [c('family.looks', 5)];
		expect(notCounting(looks, strings)).toEqual([...looks, c('strings', 0)]);
		expect(counting([...looks, c('strings', 0)], strings, defs)).toEqual(looks);
		expect(notCounting([...looks, c('overhang', 1, gate)], overhang)).toEqual([...looks, c('overhang', 0, gate)]);
		expect(counting([...looks, c('overhang', 0, gate)], overhang, defs)).toEqual([...looks, c('overhang', 1, gate)]);
	});
	it('gives importance to a family that has none, unless its members count by themselves', () => {
		expect(counting([], strings, defs)).toEqual([c('family.looks', 3)]);
		expect(counting([c('overhang', 6)], strings, defs)).toEqual([c('overhang', 6), c('strings', 3)]);
	});
	it('counts by itself what is of no family', () => {
		expect(counting([c('family.looks', 5)], odour, defs)).toEqual([c('family.looks', 5), c('printOdour', 3)]);
	});
	it('a limit comes and goes without changing how much something counts', () => {
		const looks = [c('family.looks', 5)];
		expect(limiting(looks, overhang, gate)).toEqual([...looks, c('overhang', 1, gate)]);
		expect(limiting([...looks, c('overhang', 1, gate)], overhang, null)).toEqual(looks);
		expect(limiting([...looks, c('overhang', 3, gate)], overhang, null)).toEqual([...looks, c('overhang', 3)]);
		expect(limiting([], odour, gate)).toEqual([c('printOdour', 0, gate)]);
	});
	it('has a name', () => {
		expect(['family.looks', 'overhang', 'x'].map((id) => criterionName(id, defs))).toEqual(['Looks', 'Overhang', 'x']);
	});
});
