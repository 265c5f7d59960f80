import { describe, expect, it } from 'vitest';
import { basis, event, evidence, reading } from '../../../../../tests/support/evidence';
import type { Before, Reading } from '../../record/evidence/reading';
import type { Finding } from '../../judging/finding/types';
import type { MaterialFigures } from '../../judging/handbook/figures';
import { dryingResults } from './results';
import { judgeSetPoint, loadLimit } from './set-point';
import { dryingStation } from './station';

// What feeds what in the station, field by field, worked out by hand.

const DAY = 86_400_000;
const U_G = Math.hypot(0.05, 0.1) / Math.sqrt(3);
const Z = 1.959963984540054;
const gross = (day: number, value: number, before: Before | null) =>
	reading({ station: 'moisture', quantity: 'grossMass', value, before, resolution: 0.1, takenAt: day * DAY });
const tare = (value: number) => reading({ station: 'moisture', quantity: 'tareMass', value, takenAt: 90 * DAY });
const find = (e = evidence()) => dryingStation.find(e, basis)[0] as Finding;

describe('the loss in the first drying, whole', () => {
	const readings = [gross(0, 1200, null), gross(1, 1198, 'dried'), gross(3, 1199, 'air'), gross(4, 1198.5, 'dried')];
	const share = 998 / 1000 - 1;
	const u = (1 + share) * Math.hypot(U_G / 1000, U_G / 998);
	const e = evidence({ readings: [...readings, tare(200)], spool: { lot: 'L7', revision: 4 } });
	const f = find(e);

	it('each drying: masses, grams, per cent and their uncertainty', () => {
		const [first, second] = dryingResults(e);
		const [w0, w1, , w3] = readings as [Reading, Reading, Reading, Reading];
		expect(first).toEqual({
			beforeId: w0.id,
			afterId: w1.id,
			at: DAY,
			beforeG: 1200,
			afterG: 1198,
			lostG: 2,
			uG: Math.hypot(U_G, U_G),
			seen: true,
			lostPct: expect.closeTo(0.2, 10) as number,
			lowPct: expect.closeTo((-share - Z * u) * 100, 8) as number,
			highPct: expect.closeTo((-share + Z * u) * 100, 8) as number,
			standardUncertaintyPct: expect.closeTo(u * 100, 10) as number,
			tareKnown: true,
			cardPct: 0
		});
		expect(second).toMatchObject({ afterId: w3.id, lostG: 0.5 });
		expect(second?.lostPct).toBeCloseTo((0.5 / 999) * 100, 10);
	});
	it('the finding: value, interval, draw, figure', () => {
		expect(f).toMatchObject({ quantity: 'dryingLoss', n: 2, grade: 'firm', interval: { level: 0.95, kind: 'confidence' } });
		expect(f.estimate).toBeCloseTo(0.2, 10);
		expect(f.interval?.low).toBeCloseTo((-share - Z * u) * 100, 8);
		expect(f.sampling).toEqual({
			kind: 't',
			mean: f.estimate,
			standardError: expect.closeTo(u * 100, 10) as number,
			df: null
		});
		expect(f.figure).toEqual({ kind: 'dot', points: [f.estimate, expect.closeTo((0.5 / 999) * 100, 10) as number] });
	});
	it('its subject, lot and the two weighings it rests on', () => {
		expect(f.subject.spoolId).toBe(e.spool.id);
		expect(f.context.lots).toEqual(['L7']);
		expect(find(evidence({ readings })).context.lots).toEqual([]);
		expect(f.inputs).toEqual({ used: readings.slice(0, 2).map((r) => r.id), excluded: [], revision: 4 });
	});
	it('its words: what was lost, and how many dryings came later', () => {
		expect(f.messages).toEqual([
			{ id: 'driedLost', params: { lostG: 2, uG: Math.hypot(U_G, U_G), beforeG: 1200, afterG: 1198 } },
			{ id: 'laterDryings', params: { count: 1 } }
		]);
		const once = find(evidence({ readings: [...readings.slice(0, 2), tare(200)] }));
		expect(once.messages.map((m) => m.id)).toEqual(['driedLost']);
	});
	it('nothing lost is 0, not -0', () => {
		const [result] = dryingResults(evidence({ readings: [gross(0, 1200, null), gross(1, 1200, 'dried'), tare(200)] }));
		expect(result?.lostG).toBe(0);
		expect(result?.lostPct).toBe(0);
	});
	it('with an unknown tare: bounds', () => {
		const unknown = find(evidence({ readings: readings.slice(0, 2), claims: [] }));
		expect(unknown.interval?.kind).toBe('bounds');
		expect(unknown.sampling).toEqual({ kind: 'bounds', low: unknown.interval?.low, high: unknown.interval?.high });
	});
});

describe('no weighed drying', () => {
	it('rests on the dryings that count, and asks for one weighed before and after', () => {
		const [dried, struck, opened] = [
			event({ kind: 'dried', at: 5 }),
			event({ kind: 'dried', at: 6, status: 'excluded' }),
			event({ kind: 'opened', at: 1 })
		];
		const f = find(evidence({ events: [opened, dried, struck], spool: { revision: 3 } }));
		expect(f.inputs).toEqual({ used: [dried.id], excluded: [], revision: 3 });
		expect(f.sampling).toMatchObject({ kind: 'unknown', reason: { id: 'driedUnweighed' } });
		expect(f.missing).toEqual([{ action: 'dryWeighed', station: 'drying', count: 1, minutes: 240, params: {} }]);
		expect(find(evidence({ events: [opened, struck] })).sampling).toMatchObject({ reason: { id: 'notDried' } });
		expect(dryingStation.quantities(basis)).toMatchObject([
			{ id: 'dryingLoss', onSheet: true, scale: { low: 0, high: 1 }, prior: { low: 0, high: 0.8 } }
		]);
	});
	it('air and prints between weighings are no dryings', () => {
		expect(dryingResults(evidence({ readings: [gross(0, 1200, null), gross(1, 1199, 'air'), gross(2, 1100, 'print')] }))).toEqual([]);
	});
});

describe('what a load allows', () => {
	const material = (name: string, given: Partial<MaterialFigures>): MaterialFigures => ({
		material: name,
		dryingC: null,
		dryingH: null,
		dryForH: null,
		softeningC: null,
		densityGcm3: null,
		hotEndC: null,
		hardenedNozzle: null,
		enclosure: null,
		fumes: '',
		feeder: '',
		edited: false,
		...given
	});
	const range = (low: number, high = low) => ({ low, high, source: 'test' });
	const handbook = [
		material('Both', { dryingC: range(40, 50), softeningC: range(60, 70), dryingH: range(4, 6) }),
		material('Range', { dryingC: range(60, 70), dryingH: range(8, 12) }),
		material('Soft', { softeningC: range(65, 75) }),
		material('Touching', { dryingC: range(70, 80), softeningC: range(80, 90), dryingH: range(2, 3) }),
		material('Nothing', {})
	];
	it('the lowest upper end, the lowest softening, the longest of the shortest times', () => {
		expect(loadLimit(['Range', 'Both', 'Soft', 'Touching'], handbook)).toEqual({
			dryingHighC: 50,
			dryingHighOf: 'Both',
			softeningC: 60,
			softeningOf: 'Both',
			hours: 8,
			unknown: []
		});
		expect(loadLimit(['Nothing', 'Elsewhere', 'Nothing'], handbook)).toEqual({
			dryingHighC: null,
			dryingHighOf: null,
			softeningC: null,
			softeningOf: null,
			hours: null,
			unknown: ['Nothing', 'Elsewhere']
		});
	});
	it('one known figure is enough not to be unknown; a range that reaches the softening limit sets it aside', () => {
		expect(loadLimit(['Range'], handbook).unknown).toEqual([]);
		expect(loadLimit(['Soft'], handbook)).toMatchObject({ unknown: [], softeningC: 65, dryingHighC: null, hours: null });
		expect(loadLimit(['Touching'], handbook)).toMatchObject({ softeningC: null, dryingHighC: 80 });
	});
	it('the first material that objects is named, a softening one before all', () => {
		expect(judgeSetPoint(55, ['Range', 'Both'], handbook)).toEqual({ kind: 'aboveRange', limitC: 50, of: 'Both' });
		expect(judgeSetPoint(45, ['Soft', 'Elsewhere'], handbook)).toEqual({ kind: 'unknownMaterial', of: 'Soft' });
		expect(judgeSetPoint(72, ['Range', 'Nothing', 'Both'], handbook)).toEqual({ kind: 'softens', limitC: 60, of: 'Both' });
		expect(judgeSetPoint(75, ['Nothing', 'Range'], handbook)).toEqual({ kind: 'unknownMaterial', of: 'Nothing' });
		expect(judgeSetPoint(65, ['Soft'], handbook)).toEqual({ kind: 'softens', limitC: 65, of: 'Soft' });
		expect(judgeSetPoint(70, ['Range'], handbook)).toEqual({ kind: 'ok' });
	});
});
