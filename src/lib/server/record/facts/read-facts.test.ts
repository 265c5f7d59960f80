import { describe, expect, it } from 'vitest';
import { INSTRUMENT_FACTS } from '$lib/core/record/facts/instrument-facts';
import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import type { FieldError } from '$lib/schemas/field-error';
import { readFacts } from './read-facts';

const printer = (body: Record<string, unknown>) => {
	const errors: FieldError[] = [];
	const facts = readFacts(PRINTER_FACTS, body, errors);
	return { facts, errors: errors.map((e) => `${e.path} ${e.code}`) };
};

describe('facts as they were said', () => {
	it('are read from what was typed, in the canonical unit; what was left out is not said, what was emptied not known', () => {
		expect(printer({ hotEndMax: '500 F', throat: '1.95', reelMax: '1 kg', bedMax: '', enclosed: false, stray: 1 })).toEqual({
			facts: { hotEndMaxC: 260, throatMm: 1.95, reelMaxG: 1000, bedMaxC: null, enclosed: false },
			errors: []
		});
	});
	it('are believed within their bounds, both included', () => {
		expect(printer({ feedPath: '1 mm', throat: '6 mm', reelMax: '100 g' }).errors).toEqual([]);
		expect(printer({ feedPath: '0.99 mm', throat: '6.01 mm', reelMax: '50.1 kg', hotEndMax: '600 C', bedMax: 'warm' }).errors).toEqual([
			'hotEndMax temperatureOutOfRange',
			'feedPath notBetween',
			'throat notBetween',
			'bedMax notATemperature',
			'reelMax notBetween'
		]);
	});
	it('of an instrument are in what it measures', () => {
		const errors: FieldError[] = [];
		expect(readFacts(INSTRUMENT_FACTS, { errorLimit: '±0.02 mm', resolution: '0.01' }, errors)).toEqual({
			errorLimit: 0.02,
			resolution: 0.01
		});
		expect(readFacts(INSTRUMENT_FACTS, { errorLimit: '+/- 3 g' }, errors, 'mass')).toEqual({ errorLimit: 3 });
		expect(errors).toEqual([]);
		expect(readFacts(INSTRUMENT_FACTS, { errorLimit: '2 mm', resolution: '0' }, errors)).toEqual({});
		expect(errors.map((e) => `${e.path} ${e.code}`)).toEqual(['errorLimit notAnErrorLimit', 'resolution notAnErrorLimit']);
	});
});
