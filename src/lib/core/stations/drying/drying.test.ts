import { describe, expect, it } from 'vitest';
import { event, evidence, basis, reading, weighed } from '../../../../../tests/support/evidence';
import type { Finding } from '../../judging/finding/types';
import { HANDBOOK } from '../../judging/handbook/defaults';
import { dryingResults } from './results';
import { judgeSetPoint, loadLimit } from './set-point';
import { dryingStation } from './station';

const find = (e = evidence()) => dryingStation.find(e, basis)[0] as Finding;
const tare = reading({ station: 'moisture', quantity: 'tareMass', value: 230, takenAt: 0 });

describe('what a drying took out', () => {
	const readings = [
		...weighed([
			[1324.5, null],
			[1323.9, 'dried'],
			[1301, 'print'],
			[1300.8, 'dried']
		]),
		tare
	];
	it('grams and per cent of the net mass, before and after', () => {
		const [first, second] = dryingResults(evidence({ readings }));
		expect(first).toMatchObject({ beforeG: 1324.5, afterG: 1323.9, lostG: 0.6, seen: true });
		// By hand: 0.6 / 1094.5
		expect(first?.lostPct).toBeCloseTo((0.6 / 1094.5) * 100, 9);
		expect(second?.lostG).toBe(0.2);
	});
	it('the first drying tells how wet the spool came', () => {
		const f = find(evidence({ readings }));
		expect(f.estimate).toBeCloseTo(0.0548, 4);
		expect(f.interval?.low).toBeLessThan(0.0548);
		expect(f.messages.map((m) => m.id)).toEqual(['driedLost', 'laterDryings']);
	});
	it('a loss the scale cannot see is said, and an unweighed drying too', () => {
		expect(
			find(
				evidence({
					readings: weighed([
						[1000, null],
						[999.9, 'dried']
					])
				})
			).messages[0]?.id
		).toBe('driedNotSeen');
		expect(find(evidence({ events: [event({ kind: 'dried', at: 5 })] })).sampling).toMatchObject({ reason: { id: 'driedUnweighed' } });
		expect(find().sampling).toMatchObject({ reason: { id: 'notDried' } });
	});
	it('a spool that gained mass in the dryer shows it: nothing is clipped', () => {
		expect(
			find(
				evidence({
					readings: [
						...weighed([
							[1000, null],
							[1000.4, 'dried']
						]),
						tare
					]
				})
			).estimate
		).toBeLessThan(0);
	});
});

describe('set-point of a load', () => {
	it('the lower limit of two materials counts, the longer time too', () => {
		expect(loadLimit(['PETG', 'PLA'], HANDBOOK)).toMatchObject({
			dryingHighC: 50,
			dryingHighOf: 'PLA',
			softeningC: 55,
			softeningOf: 'PLA',
			hours: 4
		});
	});
	it('over the softening limit is refused, over the range asked about', () => {
		expect(judgeSetPoint(65, ['PETG', 'PLA'], HANDBOOK)).toEqual({ kind: 'softens', limitC: 55, of: 'PLA' });
		expect(judgeSetPoint(55, ['PLA'], HANDBOOK).kind).toBe('softens');
		expect(judgeSetPoint(52, ['PLA'], HANDBOOK)).toEqual({ kind: 'aboveRange', limitC: 50, of: 'PLA' });
		expect(judgeSetPoint(50, ['PLA', 'PETG'], HANDBOOK)).toEqual({ kind: 'ok' });
	});
	it('a polyamide is dried above the softening figure of its dry state', () => {
		expect(judgeSetPoint(80, ['PA6'], HANDBOOK)).toEqual({ kind: 'ok' });
		expect(judgeSetPoint(120, ['PA6'], HANDBOOK).kind).toBe('aboveRange');
		expect(loadLimit(['PA6', 'PC'], HANDBOOK)).toMatchObject({ dryingHighC: 100, softeningOf: 'PC' });
	});
	it('an unknown material is asked about, never waved through', () => {
		expect(judgeSetPoint(45, ['PLA', 'XYZ'], HANDBOOK)).toEqual({ kind: 'unknownMaterial', of: 'XYZ' });
		expect(loadLimit(['XYZ'], HANDBOOK)).toMatchObject({ dryingHighC: null, unknown: ['XYZ'] });
	});
});
