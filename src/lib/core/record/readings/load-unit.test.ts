import { describe, expect, it } from 'vitest';
import { evidence, load, specimen } from '../../../../../tests/support/evidence';
import { fromCanonical } from '../../kernel/units/convert';
import { loadUnitOf } from './load-unit';

const typedIn = (...units: string[]) => evidence({ readings: units.map((typedUnit) => load(specimen(), 'loadHeld', 100, { typedUnit })) });

describe('the unit loads are shown in', () => {
	it('is the one most of them were typed in; newtons while there are none', () => {
		expect(loadUnitOf([typedIn('lb', 'N', 'lb'), typedIn('kg')])).toBe('lb');
		expect(loadUnitOf([])).toBe('N');
		expect(loadUnitOf([evidence({ readings: [load(specimen(), 'failure', 1, { typedUnit: '' })] })])).toBe('N');
	});
	it('does not count what was marked invalid; of equally many the first by name', () => {
		const struck = typedIn('lb', 'lb', 'kg');
		expect(loadUnitOf([{ readings: struck.readings.map((r) => (r.typedUnit === 'lb' ? { ...r, status: 'excluded' as const } : r)) }])).toBe(
			'kg'
		);
		expect(loadUnitOf([typedIn('lb', 'kg')])).toBe('kg');
	});
});

describe('a load in the unit it was typed in', () => {
	it.each([
		[111.205540382, 'lb', 25],
		[98.0665, 'kg', 10],
		[98.0665, 'kgf', 10],
		[98.0665, 'g', 10_000],
		[4.4482216152605, 'lbf', 1],
		[4.4482216152605, 'oz', 16],
		[50, 'N', 50]
	])('%f N is %s %f (SI brochure, pound exact)', (newtons, unit, value) => {
		expect(fromCanonical(newtons, unit, 'load')).toBeCloseTo(value, 8);
	});
});
