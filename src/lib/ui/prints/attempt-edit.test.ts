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

describe('a print that is put right', () => {
	it('says nothing while nothing was touched', () => {
		expect(correctedIn(failed, 'dried', editOf(failed, 'dried'))).toEqual({});
	});
	it('says only what was changed', () => {
		const edit = editOf(failed, 'dried');
		expect(correctedIn(failed, 'dried', { ...edit, pieceId: 'p2', tuning: true })).toEqual({ pieceId: 'p2', tuning: true });
		expect(correctedIn(failed, 'dried', { ...edit, settings: { ...edit.settings, nozzleC: '245,5' } })).toEqual({
			settings: { nozzleC: 245.5, fanPct: 50 }
		});
	});
	it('says the state only where another was chosen', () => {
		const edit = editOf(failed, 'dried');
		expect(correctedIn(failed, 'dried', { ...edit, condition: 'asReceived' })).toEqual({ condition: 'asReceived' });
	});
	it('sends what is no number on, to be refused by its field', () => {
		const edit = editOf(failed, 'dried');
		expect(correctedIn(failed, 'dried', { ...edit, settings: { ...edit.settings, nozzleC: 'hot' } })).toEqual({
			settings: { nozzleC: 'hot', fanPct: 50 }
		});
		expect(correctedIn(failed, 'dried', { ...edit, percentReached: 'half' })).toMatchObject({ percentReached: 'half' });
	});
	it('says how it ended whole', () => {
		const edit = editOf(failed, 'dried');
		expect(correctedIn(failed, 'dried', { ...edit, cause: 'printer' })).toEqual({
			outcome: 'failed',
			percentReached: 40,
			cause: 'printer',
			failure: 'lifted'
		});
		expect(correctedIn(failed, 'dried', { ...edit, outcome: 'finished' })).toEqual({ outcome: 'finished' });
		expect(correctedIn(failed, 'dried', { ...edit, outcome: 'ofNoUse' })).toEqual({
			outcome: 'ofNoUse',
			cause: 'filament',
			failure: 'lifted'
		});
		expect(correctedIn(failed, 'dried', { ...edit, percentReached: '' })).toEqual({
			outcome: 'failed',
			cause: 'filament',
			failure: 'lifted'
		});
	});
});
