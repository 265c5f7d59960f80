import { describe, expect, it } from 'vitest';
import { attempt } from '../../../../tests/support/evidence';
import { draftBody, freshDraft, settingsLine } from './attempt-draft';

const base = { last: null, lastOther: null, labelNozzleC: null, condition: 'asReceived' as const, printerId: '', pieceId: 'piece-1' };

describe('a print as typed', () => {
	it("copies the spool's own settings forward", () => {
		expect(freshDraft({ ...base, last: attempt(), labelNozzleC: 240 }).settings).toMatchObject({ nozzleC: '215', bedC: '60', fanPct: '' });
	});
	it("takes another spool's settings, but the label's temperature", () => {
		expect(freshDraft({ ...base, lastOther: attempt(), labelNozzleC: 240 }).settings).toMatchObject({ nozzleC: '240', bedC: '60' });
	});
	it('copies bed, agent and profile forward too, and says the room if it was typed', () => {
		const last = attempt({ setUp: { bedSurface: 'glass', profile: 'even walls' } });
		const draft = freshDraft({ ...base, last });
		expect(draft.setUp).toMatchObject({ bedSurface: 'glass', bedAgent: '' });
		expect(draftBody({ ...draft, roomTemperature: '19 C', roomHumidityPct: '41,5', grams: '14,2', minutes: '55' })).toMatchObject({
			setUp: { bedSurface: 'glass', profile: 'even walls' },
			roomTemperature: '19 C',
			roomHumidityPct: 41.5,
			gramsG: 14.2,
			minutes: 55
		});
	});
	it('leaves out what is empty and reads a decimal comma', () => {
		const draft = { ...freshDraft(base), marks: { overhangLastClean: '65', overhangFirstFaulty: '' } };
		draft.settings.retractionMm = '0,8';
		expect(draftBody(draft)).toEqual({
			outcome: 'finished',
			condition: 'asReceived',
			pieceId: 'piece-1',
			settings: { retractionMm: 0.8 },
			setUp: {},
			marks: { overhangLastClean: '65' }
		});
	});
	it('says what went wrong and signs of water only where somebody did', () => {
		const draft = { ...freshDraft(base), failure: 'clogged' as const, signs: ['hiss' as const], tuning: true, portionId: 'p1' };
		expect(draftBody(draft)).toMatchObject({ signs: ['hiss'], tuning: true, portionId: 'p1' });
		expect(draftBody(draft)).not.toHaveProperty('failure');
		expect(draftBody({ ...draft, outcome: 'ofNoUse', cause: 'filament' })).toMatchObject({
			outcome: 'ofNoUse',
			cause: 'filament',
			failure: 'clogged'
		});
	});
	it('passes text for a number on, to be refused by name', () => {
		expect(draftBody({ ...freshDraft(base), outcome: 'failed', percentReached: 'half', cause: 'printer' })).toMatchObject({
			percentReached: 'half',
			cause: 'printer'
		});
	});
	it('says settings as a person would', () => {
		expect(settingsLine(attempt().settings)).toBe('nozzle 215 °C · bed 60 °C');
	});
});
