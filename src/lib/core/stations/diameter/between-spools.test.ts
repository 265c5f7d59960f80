import { describe, expect, it } from 'vitest';
import { diameters, evidence, basis } from '../../../../../tests/support/evidence';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { betweenSpools } from './between-spools';

const fine = { id: 'mic', name: 'Micrometer', quantity: 'length', resolution: 0.001, errorLimit: 0.002, checks: [], studies: [] };
const rough = { id: 'cal', name: 'Caliper', quantity: 'length', resolution: 0.01, errorLimit: 0.02, checks: [], studies: [] };
/** Ten places, two directions each, around a mean. */
const spool = (mean: number, spread: number, more: Partial<SpoolEvidence['spool']> = {}, instrument = fine) =>
	evidence({
		spool: { ...more },
		instruments: [fine, rough],
		readings: diameters(
			Array.from({ length: 20 }, (_, i) => mean + spread * Math.sin(Math.floor(i / 2) * 2.4)),
			{ instrumentId: instrument.id, resolution: 0.001 }
		)
	});

describe('between spools', () => {
	it('gives one letter to what cannot be told apart, and names the farthest pair first', () => {
		const found = betweenSpools(
			[spool(1.75, 0.004, { id: 'a' }), spool(1.751, 0.004, { id: 'b' }), spool(1.79, 0.004, { id: 'c' })],
			basis
		);
		expect(found.spools.map((s) => s.letters)).toEqual(['a', 'a', 'b']);
		expect(found.apart[0]).toMatchObject({ a: 'a', b: 'c' });
		expect(found.apart).toHaveLength(2);
		expect(found.unlikeInstruments).toBe(false);
	});
	it('one instrument’s common error cancels in a difference, that of two does not', () => {
		const same = betweenSpools([spool(1.75, 0.004, { id: 'a' }, rough), spool(1.77, 0.004, { id: 'b' }, rough)], basis);
		const unlike = betweenSpools([spool(1.75, 0.004, { id: 'a' }, rough), spool(1.77, 0.004, { id: 'b' }, fine)], basis);
		expect(same.apart).toHaveLength(1);
		expect(unlike.apart).toHaveLength(0);
		expect(unlike.unlikeInstruments).toBe(true);
	});
	it('tells unequal spreads', () => {
		expect(betweenSpools([spool(1.75, 0.002, { id: 'a' }), spool(1.75, 0.03, { id: 'b' })], basis).spreads?.p).toBeLessThan(0.01);
	});
	it('splits a product into spools and lots, and says nothing of products while names are hidden', () => {
		const named = { maker: 'Fennick Strand', filament: 'Steady' };
		const three = [
			spool(1.75, 0.003, { id: 'a', lot: 'F1', ...named }),
			spool(1.752, 0.003, { id: 'b', lot: 'F1', ...named }),
			spool(1.78, 0.003, { id: 'c', lot: 'F2', ...named })
		];
		const [product] = betweenSpools(three, basis).products;
		expect(product?.variance.n).toEqual({ readings: 30, spools: 3, lots: 2 });
		expect(product?.variance.lots).toBeGreaterThan(product?.variance.spools as number);
		const blind = three.map((e) => ({ ...e, spool: { ...e.spool, maker: null, filament: null } }));
		expect(betweenSpools(blind, basis).products).toEqual([]);
	});
	it('says nothing where there is nothing', () => {
		expect(betweenSpools([], basis)).toEqual({
			spools: [],
			spreads: null,
			apart: [],
			unlikeInstruments: false,
			products: []
		});
		expect(betweenSpools([evidence()], basis).spools).toEqual([]);
	});
});
