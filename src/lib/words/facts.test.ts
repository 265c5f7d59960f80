import { describe, expect, it } from 'vitest';
import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { factsTold, PRINTER_FACT_WORDS, SPOOL_FACT_WORDS } from './facts';

describe('facts in words', () => {
	it('are told where they were said, in the order of the list, but for those told elsewhere', () => {
		const spool = { colourName: 'grey', colourHex: '#888888', lot: 'B7', reelMaterial: 'card', obtained: 'gift' };
		expect(factsTold(SPOOL_FACTS, SPOOL_FACT_WORDS, spool, ['colourName', 'colourHex'])).toEqual([
			'lot B7',
			'spool body card',
			'obtained a gift'
		]);
		expect(factsTold(SPOOL_FACTS, SPOOL_FACT_WORDS, { lot: '', reelMaterial: null })).toEqual([]);
	});
	it('of a measure bear their unit, of a switch only what is so', () => {
		const north = { name: 'North', hotEndMaxC: 260, throatMm: 1.95, reelMaxG: 1000, enclosed: true, hardenedNozzle: false };
		expect(factsTold(PRINTER_FACTS, PRINTER_FACT_WORDS, north, ['name'])).toEqual([
			'max nozzle temp 260 °C',
			'narrowest bore 1.95 mm',
			'enclosed',
			'spools up to 1000 g'
		]);
	});
});
