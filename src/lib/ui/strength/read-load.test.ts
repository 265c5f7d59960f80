import { describe, expect, it } from 'vitest';
import { withUnit } from '../form/chosen-unit.svelte';
import { readLoad, unitTyped } from './read-load';
import { specimenOfItem } from './specimen-of-item';

describe('loads as typed at the bench', () => {
	it('in steps a load held unless an x follows', () => {
		expect(readLoad('20 lb', 'steps')).toEqual({ quantity: 'loadHeld', typed: '20 lb' });
		expect(readLoad('25 lb x', 'steps')).toEqual({ quantity: 'loadBroke', typed: '25 lb' });
		expect(readLoad('25x', 'steps')).toEqual({ quantity: 'loadBroke', typed: '25' });
	});
	it('read off or counted, it broke unless an h follows', () => {
		expect(readLoad('31,5 kg', 'direct')).toEqual({ quantity: 'loadBroke', typed: '31,5 kg' });
		expect(readLoad('40 kg h', 'direct')).toEqual({ quantity: 'loadHeld', typed: '40 kg' });
		expect(readLoad('7', 'blows')).toEqual({ quantity: 'blowsBroke', typed: '7' });
		expect(readLoad('20 h', 'blows')).toEqual({ quantity: 'blowsHeld', typed: '20' });
	});
	it('the unit typed last stays in force for bare numbers', () => {
		expect(withUnit('25', 'lb')).toBe('25 lb');
		expect(withUnit('25 N', 'lb')).toBe('25 N');
		expect(withUnit('25', '')).toBe('25');
		expect(unitTyped('20 lbs')).toBe('lb');
		expect(unitTyped('20')).toBeNull();
		expect(unitTyped('20 mm')).toBeNull();
	});
	it('a waiting specimen is on the bench already; a refused one and a reading are not', () => {
		const body = { id: 's', spoolId: 'a', shape: 'hook', orientation: 'flat', method: 'steps', at: '2026-11-01T10:00:00Z' };
		const item = { id: 's', path: 'specimens', body, madeAt: 0, refused: null };
		expect(specimenOfItem(item)).toMatchObject({ id: 's', spoolId: 'a', shape: 'hook', status: 'counts' });
		expect(specimenOfItem({ ...item, refused: { title: 'no', errors: [] } })).toBeNull();
		expect(specimenOfItem({ ...item, path: 'readings' })).toBeNull();
	});
});
