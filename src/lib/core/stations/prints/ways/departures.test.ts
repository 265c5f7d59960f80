import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, piece, basis, printerNamed } from '../../../../../../tests/support/evidence';
import { departures } from './departures';

const north = printerNamed('North');
const label = [
	{ id: 'a', quantity: 'nozzleLowC', source: 'label' as const, value: 210 },
	{ id: 'b', quantity: 'nozzleHighC', source: 'label' as const, value: 230 }
];
const withNozzle = (nozzleC: number | null) => {
	const one = attempt();
	return { ...one, settings: { ...one.settings, nozzleC } };
};

describe('what a print departs in from its trial', () => {
	it('nothing where all is as held equal, or was not noted', () => {
		const rules = { ...basis, printer: north };
		expect(departures(evidence({ claims: label }), withNozzle(220), rules)).toEqual([]);
		expect(departures(evidence({ claims: label }), { ...withNozzle(null), printer: null }, rules)).toEqual([]);
		expect(departures(evidence(), attempt({ printer: 'South' }), basis)).toEqual([]);
	});
	it('another printer than the trial’s', () => {
		expect(departures(evidence(), attempt({ printer: 'South' }), { ...basis, printer: north })).toEqual([
			{ kind: 'printer', is: 'South', wanted: 'North' }
		]);
	});
	it('another condition than the one that counts; where both count, only time in the air', () => {
		const kinds = (policy: 'asReceived' | 'driedFirst' | 'both', happened: 'dried' | 'exposed' | null) =>
			departures(evidence({ events: happened ? [event({ kind: happened, at: 1 })] : [] }), attempt(), {
				...basis,
				conditionPolicy: policy
			}).map((d) => d.kind === 'condition' && `${d.is} for ${d.wanted}`);
		expect(kinds('asReceived', 'dried')).toEqual(['dried for asReceived']);
		expect(kinds('driedFirst', null)).toEqual(['asReceived for dried']);
		expect(kinds('driedFirst', 'dried')).toEqual([]);
		expect(kinds('both', 'dried')).toEqual([]);
		expect(kinds('both', 'exposed')).toEqual(['exposed for asReceived']);
	});
	it('a nozzle beside the label’s range, where the label’s temperature is to be used; its ends are in it', () => {
		const of = (nozzleC: number, settingsPolicy: 'label' | 'calibrated' = 'label') =>
			departures(evidence({ claims: label }), withNozzle(nozzleC), { ...basis, settingsPolicy });
		expect(of(240)).toEqual([{ kind: 'nozzle', isC: 240, lowC: 210, highC: 230 }]);
		expect([of(210), of(230), of(240, 'calibrated')]).toEqual([[], [], []]);
	});
	it('another version of a piece the trial prints; a piece it does not print is no departure', () => {
		const pieces = [
			piece({ id: 'old', familyId: 'f', version: 1 }),
			piece({ id: 'new', familyId: 'f', version: 2 }),
			piece({ id: 'else', familyId: 'g' })
		];
		const rules = { ...basis, pieceIds: ['new'] };
		expect(departures(evidence({ pieces }), attempt({ pieceId: 'old' }), rules)).toEqual([{ kind: 'version', is: 1, wanted: 2 }]);
		expect(departures(evidence({ pieces }), attempt({ pieceId: 'else' }), rules)).toEqual([]);
		expect(departures(evidence({ pieces }), attempt({ pieceId: 'new' }), rules)).toEqual([]);
	});
});
