import { describe, expect, it } from 'vitest';
import { attempt } from '../../../../tests/support/evidence';
import { draftBody, freshDraft, settingsLine } from './print-draft';

const base = { last: null, lastOther: null, labelNozzleC: null, condition: 'asReceived' as const, printerId: '' };

describe('a print as typed', () => {
	it("copies the spool's own settings forward", () => {
		expect(freshDraft({ ...base, last: attempt(), labelNozzleC: 240 }).settings).toMatchObject({ nozzleC: '215', bedC: '60', fanPct: '' });
	});
	it("takes another spool's settings, but the label's temperature", () => {
		expect(freshDraft({ ...base, lastOther: attempt(), labelNozzleC: 240 }).settings).toMatchObject({ nozzleC: '240', bedC: '60' });
	});
	it('leaves out what is empty and reads a decimal comma', () => {
		const draft = { ...freshDraft(base), overhangLastClean: '65' };
		draft.settings.retractionMm = '0,8';
		expect(draftBody(draft)).toEqual({
			outcome: 'finished',
			condition: 'asReceived',
			settings: { retractionMm: 0.8 },
			marks: { overhangLastClean: '65' }
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
