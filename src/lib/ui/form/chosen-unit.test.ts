import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { reading } from '../../../../tests/support/evidence';
import { ChosenUnit, takeUnits } from './chosen-unit.svelte';

const browser = { cookie: '' };
beforeEach(() => {
	browser.cookie = '';
	vi.stubGlobal('document', browser);
	takeUnits(undefined);
});
afterEach(() => {
	vi.unstubAllGlobals();
	takeUnits(undefined);
});
const mass = () => new ChosenUnit('mass');

describe('the unit tapped beside a field', () => {
	it('is the usual one until another is tapped, and then stays for this quantity', () => {
		const first = mass();
		expect([first.unit, first.meant('998')]).toEqual(['g', '998']);
		first.choose('lb');
		expect([first.meant('2,2'), first.meant('998 g'), first.meant('2 lb 3 oz')]).toEqual(['2,2 lb', '998 g', '2 lb 3 oz']);
		expect([mass().unit, new ChosenUnit('length').unit]).toEqual(['lb', 'mm']);
		expect(browser.cookie).toBe('draught-units=mass-lb; path=/; max-age=31536000; samesite=lax');
	});

	it('begins with what the server made the page in, and keeps what else was chosen', () => {
		takeUnits('length-in.mass-stone');
		expect([mass().unit, new ChosenUnit('length').unit]).toEqual(['g', 'in']);
		browser.cookie = 'theme=x; draught-units=length-in';
		mass().choose('oz');
		expect(browser.cookie).toContain('draught-units=length-in.mass-oz;');
		mass().choose('g');
		expect(browser.cookie).toContain('draught-units=length-in;');
	});

	it('leaves what another page of this browser chose since for another quantity', () => {
		takeUnits('');
		browser.cookie = 'draught-units=length-in.temperature-F';
		mass().choose('lb');
		expect(browser.cookie).toContain('draught-units=length-in.mass-lb.temperature-F;');
		expect(new ChosenUnit('length').unit).toBe('in');
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
