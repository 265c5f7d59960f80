import { expect, it } from 'vitest';
import { inUnit } from './in-unit';

it.each([
	['65', 'F', 'temperature', '65 F'],
	['65 C', 'F', 'temperature', '149 F'],
	['149 F', 'C', 'temperature', '65 C'],
	['2.2', 'lb', 'mass', '2.2 lb'],
	['1 kg', 'g', 'mass', '1000 g'],
	['2 lb 12 oz', 'g', 'mass', '1247.38 g'],
	['350 g', 'lb', 'mass', '0.771618 lb'],
	['350 g', 'g', 'mass', '350 g'],
	['', 'F', 'temperature', ''],
	['warm', 'F', 'temperature', 'warm'],
	['5 parsec', 'g', 'mass', '5 parsec']
] as const)('%j tapped as %s of %s is %j', (typed, unit, dimension, meant) => expect(inUnit(typed, unit, dimension)).toBe(meant));
