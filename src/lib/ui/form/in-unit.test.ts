import { expect, it } from 'vitest';
import { inUnit, storedIn } from './in-unit';

it.each([
	['65', 'F', 'temperature', '65 F'],
	['65 C', 'F', 'temperature', '149 F'],
	['149 F', 'C', 'temperature', '65 C'],
	['52 C', 'F', 'temperature', '125.6 F'],
	['2.2', 'lb', 'mass', '2.2 lb'],
	['1 kg', 'g', 'mass', '1000 g'],
	['2 lb 12 oz', 'g', 'mass', '1247.38 g'],
	['350 g', 'lb', 'mass', '0.771618 lb'],
	['350 g', 'g', 'mass', '350 g'],
	['', 'F', 'temperature', ''],
	['warm', 'F', 'temperature', 'warm'],
	['5 parsec', 'g', 'mass', '5 parsec']
] as const)('%j tapped as %s of %s is %j', (typed, unit, dimension, meant) => expect(inUnit(typed, unit, dimension)).toBe(meant));

it('a stored value comes back as it was typed, whichever way it goes', () => {
	// 1.65 lb are 748.42741105 g by definition.
	expect([storedIn(748.427411, 'lb', 'mass'), storedIn(748.427411, 'g', 'mass'), storedIn(1000, 'kg', 'mass')]).toEqual([
		'1.65 lb',
		'748.427 g',
		'1 kg'
	]);
	expect(inUnit(storedIn(748.427411, 'lb', 'mass'), 'g', 'mass')).toBe(storedIn(748.427411, 'g', 'mass'));
});
