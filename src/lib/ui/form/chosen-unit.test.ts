import { beforeEach, describe, expect, it, vi } from 'vitest';
import { reading } from '../../../../tests/support/evidence';
import { ChosenUnit } from './chosen-unit.svelte';

const kept = new Map<string, string>();
beforeEach(() => {
	kept.clear();
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, text: string) => kept.set(key, text)
	});
});
const mass = () => new ChosenUnit('mass', ['g', 'kg', 'oz', 'lb']);

describe('the unit tapped beside a field', () => {
	it('is the usual one until another is tapped, and then stays for this quantity', () => {
		const first = mass();
		expect([first.unit, first.meant('998')]).toEqual(['g', '998']);
		first.choose('lb');
		expect([first.meant('2,2'), first.meant('998 g'), first.meant('2 lb 3 oz')]).toEqual(['2,2 lb', '998 g', '2 lb 3 oz']);
		const later = mass();
		later.recall();
		const other = new ChosenUnit('length', ['mm', 'in']);
		other.recall();
		expect([later.unit, other.unit]).toEqual(['lb', 'mm']);
	});

	it('does not take a unit from elsewhere that the field does not know', () => {
		kept.set('draught-unit-mass', 'stone');
		const unit = mass();
		unit.recall();
		expect(unit.unit).toBe('g');
	});

	it('the same again means what it meant, whatever is tapped now', () => {
		const unit = mass();
		const grams = reading({ station: 'moisture', quantity: 'grossMass', value: 998, typedText: '998', typedUnit: 'g' });
		expect([unit.again(grams), unit.again(undefined)]).toEqual(['998', null]);
		unit.choose('lb');
		expect(unit.again(grams)).toBe('998 g');
		expect(unit.again(reading({ station: 'diameter', quantity: 'diameter', value: 1.74, typedText: '174', typedUnit: 'mm' }))).toBe(
			'1.74 mm'
		);
	});
});
