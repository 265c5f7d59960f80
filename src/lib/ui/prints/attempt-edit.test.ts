import { describe, expect, it } from 'vitest';
import { attempt } from '../../../../tests/support/evidence';
import { correctedIn, editOf } from './attempt-edit';

const failed = attempt({
	outcome: 'failed',
	percentReached: 40,
	cause: 'filament',
	failure: 'lifted',
	settings: { ...attempt().settings, nozzleC: 230, bedC: null, fanPct: 50 }
});

const PRINTERS = [
	{ id: 'n', name: 'North' },
	{ id: 's', name: 'South' }
];

describe('a print that is put right', () => {
	it('says nothing while nothing was touched', () => {
		expect(correctedIn(failed, 'dried', editOf(failed, 'dried', PRINTERS), PRINTERS)).toEqual({});
	});
	it('says only what was changed', () => {
		const edit = editOf(failed, 'dried', PRINTERS);
		expect(correctedIn(failed, 'dried', { ...edit, pieceId: 'p2', tuning: true }, PRINTERS)).toEqual({ pieceId: 'p2', tuning: true });
		expect(correctedIn(failed, 'dried', { ...edit, settings: { ...edit.settings, nozzleC: '245,5' } }, PRINTERS)).toEqual({
			settings: { nozzleC: 245.5, fanPct: 50 }
		});
	});
	it('says the state only where another was chosen', () => {
		const edit = editOf(failed, 'dried', PRINTERS);
		expect(correctedIn(failed, 'dried', { ...edit, condition: 'asReceived' }, PRINTERS)).toEqual({ condition: 'asReceived' });
	});
	it('sends what is no number on, to be refused by its field', () => {
		const edit = editOf(failed, 'dried', PRINTERS);
		expect(correctedIn(failed, 'dried', { ...edit, settings: { ...edit.settings, nozzleC: 'hot' } }, PRINTERS)).toEqual({
			settings: { nozzleC: 'hot', fanPct: 50 }
		});
		expect(correctedIn(failed, 'dried', { ...edit, percentReached: 'half' }, PRINTERS)).toMatchObject({ percentReached: 'half' });
	});
	it('says another printer, and that one is not known after all', () => {
		const north = { ...failed, printer: 'North' };
		const edit = editOf(north, 'dried', PRINTERS);
		expect(edit.printerId).toBe('n');
		expect(correctedIn(north, 'dried', { ...edit, printerId: 's' }, PRINTERS)).toEqual({ printerId: 's' });
		expect(correctedIn(north, 'dried', { ...edit, printerId: '' }, PRINTERS)).toEqual({ printerId: null });
	});
	it('says what it took, the signs, the portion and what stood around it', () => {
		const full = { ...failed, gramsG: 20, signs: ['hiss' as const], portionId: 'p', setUp: { bedSurface: 'glass' }, midPrint: 'fan off' };
		const edit = editOf(full, 'dried', PRINTERS);
		const other = { ...edit, grams: '21,5', signs: [], portionId: '', setUp: { ...edit.setUp, bedSurface: 'steel' }, midPrint: '' };
		expect(correctedIn(full, 'dried', other, PRINTERS)).toEqual({
			gramsG: 21.5,
			signs: [],
			portionId: null,
			setUp: { bedSurface: 'steel' },
			midPrint: null
		});
		expect(correctedIn(full, 'dried', { ...edit, grams: ' ' }, PRINTERS)).toEqual({ gramsG: null });
	});
	it('says how it ended whole', () => {
		const edit = editOf(failed, 'dried', PRINTERS);
		expect(correctedIn(failed, 'dried', { ...edit, cause: 'printer' }, PRINTERS)).toEqual({
			outcome: 'failed',
			percentReached: 40,
			cause: 'printer',
			failure: 'lifted'
		});
		expect(correctedIn(failed, 'dried', { ...edit, outcome: 'finished' }, PRINTERS)).toEqual({ outcome: 'finished' });
		expect(correctedIn(failed, 'dried', { ...edit, outcome: 'ofNoUse' }, PRINTERS)).toEqual({
			outcome: 'ofNoUse',
			cause: 'filament',
			failure: 'lifted'
		});
		expect(correctedIn(failed, 'dried', { ...edit, percentReached: '' }, PRINTERS)).toEqual({
			outcome: 'failed',
			cause: 'filament',
			failure: 'lifted'
		});
	});
});
