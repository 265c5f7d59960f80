import { describe, expect, it } from 'vitest';
import { read } from '$lib/schemas/read';
import { intakeBody } from '$lib/schemas/spool';
import { textFaults } from './texts';

const told = (errors: readonly { path: string; code: string }[]) => errors.map((e) => `${e.path} ${e.code}`);

describe('a spool that is refused for one thing', () => {
	it('is told all that is wrong with its figures as well', () => {
		const body = { material: '', price: 'cheap', netMass: '1', labelNozzle: 'hot', tare: '300 g', grossMass: '250 g' };
		const parsed = read(intakeBody, body);
		const errors = parsed.ok ? [] : parsed.errors;
		expect(told(errors)).toEqual(['id missing', 'material missing', 'at missing']);
		expect(told(textFaults(body))).toEqual([
			'price notAPrice',
			'netMass netMassSlip',
			'labelNozzle notANozzleTemperature',
			'grossMass notAboveTare'
		]);
	});
	it('is told nothing of what is not there, or is no text', () => {
		expect(told(textFaults({ price: '9'.repeat(50), netMass: '1 kg', quantity: 'two' }))).toEqual([]);
		expect([textFaults({ price: 12, netMass: null, tare: [] }), textFaults(null), textFaults('text')]).toEqual([[], [], []]);
	});
});
