import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
import { INSTRUMENT_FACTS } from '$lib/core/record/facts/instrument-facts';
import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { TRIAL_FACTS } from '$lib/core/record/facts/trial-facts';
import { factFields, keptFacts } from './fact-fields';
import { read } from './read';

const codes = (schema: z.ZodType, body: unknown) => {
	const parsed = read(schema, body);
	return parsed.ok ? 'ok' : parsed.errors.map((e) => `${e.path} ${e.code}`).join(', ');
};

describe('what may be sent of facts', () => {
	const spool = z.strictObject(factFields(SPOOL_FACTS));
	const printer = z.strictObject(factFields(PRINTER_FACTS));
	it('is nothing, or any of them', () => {
		expect(codes(spool, {})).toBe('ok');
		expect(codes(spool, { colourName: '', colourHex: '#12abEF', reelMaterial: 'wire', obtained: 'gift', lot: 'L' })).toBe('ok');
	});
	it('is held to its kind, each at its own name', () => {
		expect(codes(spool, { colourHex: 'red', reelMaterial: 'wood' })).toBe('colourHex notAColour, reelMaterial oneOf');
		expect(codes(spool, { colourName: 'x'.repeat(121) })).toBe('colourName tooLong');
		expect(codes(printer, { name: ' ', nozzle: 'brass', hardenedNozzle: 'yes' })).toMatch(
			/^name missing, nozzle notANozzle, hardenedNozzle \w+$/
		);
		expect(codes(z.strictObject(factFields(INSTRUMENT_FACTS)), { errorLimit: '' })).toBe('errorLimit missing');
		expect(codes(z.strictObject(factFields(TRIAL_FACTS)), { question: 'x'.repeat(2001), currency: 'EUR' })).toBe('question tooLong');
	});
	it('of a measure is what was typed, under the name of what is typed', () => {
		expect(Object.keys(factFields(DRYER_FACTS))).toEqual(['name', 'setPointLow', 'setPointHigh']);
		expect(printer.parse({ hotEndMax: '260 C', bedMax: '' })).toEqual({ hotEndMax: '260 C', bedMax: '' });
		expect(codes(printer, { hotEndMaxC: 260 })).toBe('body unknownFields');
	});
});

describe('what an amendment keeps of facts', () => {
	it('of a measure is its number, or that it is not known any more', () => {
		const kept = z.strictObject(keptFacts(PRINTER_FACTS));
		expect(kept.parse({ hotEndMaxC: 260, bedMaxC: null, enclosed: false })).toEqual({ hotEndMaxC: 260, bedMaxC: null, enclosed: false });
		expect(codes(kept, { hotEndMaxC: '260 C' })).toMatch(/^hotEndMaxC /);
		expect(codes(kept, { name: null })).toMatch(/^name /);
	});
	it('of how good an instrument is can be neither nothing nor unknown', () => {
		const kept = z.strictObject(keptFacts(INSTRUMENT_FACTS));
		expect(codes(kept, { errorLimit: 0.02 })).toBe('ok');
		expect([codes(kept, { errorLimit: 0 }), codes(kept, { resolution: null })].every((c) => c !== 'ok')).toBe(true);
	});
});
