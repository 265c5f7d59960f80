import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checked, errorsOf } from '../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import { amendmentBody, gaugeStudyBody, instrumentBody, instrumentCheckBody } from '../schemas/amendment';
import { logBody, logEndBody } from '../schemas/gauge-log';
import { readingBody } from '../schemas/reading';
import { intakeBody } from '../schemas/spool';
import { instrumentCheck, reading, series, seriesChunk, seriesSlice, seriesSummary } from './base/db/schema';
import { announceLog, endLog, logState, putSlice } from './stations/diameter/arrive';
import { logPicture } from './record/logs/logs';
import { postAmendment } from './answers/amendments/post';
import { loadEvidence } from './record/evidence/load';
import { addSpool } from './stations/intake/add-spool';
import { postReading } from './stations/readings/post';
import { loadSpool } from './answers/spools/load';
import { postInstrumentCheck } from './record/instruments/checks';
import { postGaugeStudy, studiesOf } from './record/instruments/studies';
import { listWorkshop, postInstrument } from './stations/workshop/workshop';

const NOW = Date.parse('2026-10-10T12:00:00Z');
const AT = new Date(NOW).toISOString();
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const caliper = async () =>
	(await postInstrument(t.db, checked(instrumentBody, { name: 'Caliper', errorLimit: '0.02 mm', resolution: '0.01 mm' }), NOW)).answer.id;
const check = async (instrumentId: string, given: object) =>
	await postInstrumentCheck(t.db, checked(instrumentCheckBody, { instrumentId, reference: '1.700 mm', at: AT, ...given }), NOW);

describe('check of an instrument', () => {
	it('keeps its raw readings, and what was measured with it is judged anew', async () => {
		const instrumentId = await caliper();
		const { spoolId } = (await addSpool(t.db, checked(intakeBody, { material: 'PETG', at: AT, labelTolerance: '0.02 mm' }), NOW)).answer;
		for (const [i, typed] of ['1.76', '1.77', '1.76', '1.75', '1.76', '1.76'].entries())
			await postReading(
				t.db,
				checked(readingBody, { spoolId, quantity: 'diameter', typed, instrumentId, takenAt: AT, placeIndex: Math.floor(i / 2) }),
				NOW
			);
		const mean = async () => (await loadSpool(t.db, spoolId, NOW)).findings.find((f) => f.quantity === 'diameterMean');
		const before = await mean();
		await check(instrumentId, { referenceLimit: '0.001', readings: ['1.71', '1,71 mm', '1.71', '0.0677 in'] });
		const given = { spoolId, quantity: 'diameter', typed: '1.76', instrumentId, placeIndex: 0 };
		const later = new Date(NOW + 1000).toISOString();
		const { id: readingId } = (await postReading(t.db, checked(readingBody, { ...given, takenAt: later }), NOW + 2000)).answer;
		const [kept] = await t.db.select().from(reading).where(eq(reading.id, readingId));
		expect(kept?.instrumentCheckId).toBe((await t.db.select().from(instrumentCheck))[0]?.id);
		const undo = { targetKind: 'reading', targetId: readingId, action: 'exclude', reason: 'one too many', at: later };
		await postAmendment(t.db, checked(amendmentBody, undo), NOW + 3000);
		const after = await mean();
		const bias = (1.71 * 3 + 0.0677 * 25.4) / 4 - 1.7;
		expect(after?.estimate).toBeCloseTo((before?.estimate ?? 0) - bias, 9);
		expect(after?.messages.map((m) => m.id)).toContain('biasTaken');
		expect(after?.interval?.high).toBeLessThan(before?.interval?.high as number);
		const [row] = await t.db.select().from(instrumentCheck);
		expect(row?.readings?.map((r) => r.typed)).toEqual(['1.71', '1,71 mm', '1.71', '0.0677 in']);
		expect((await listWorkshop(t.db)).instruments.find((i) => i.id === instrumentId)?.checks).toMatchObject([{ n: 4, reference: 1.7 }]);
	});
	it('refuses a reading by its place, and stores nothing', async () => {
		const instrumentId = await caliper();
		const before = (await t.db.select().from(instrumentCheck)).length;
		expect(await errorsOf(() => check(instrumentId, { readings: ['1.71', 'stone', '1.7 kg'] }))).toMatchObject([
			{ path: 'readings.1' },
			{ path: 'readings.2', code: 'notAReference' }
		]);
		expect(await errorsOf(() => check(instrumentId, { readings: ['1.71', '17.1'] }))).toMatchObject([
			{ path: 'readings.1', code: 'farFromReference' }
		]);
		expect(await errorsOf(() => check(instrumentId, { readings: [] }))).toMatchObject([{ path: 'readings' }]);
		expect(await errorsOf(() => check(v7(), { readings: ['1.71'] }))).toMatchObject([{ path: 'instrumentId' }]);
		expect(await t.db.select().from(instrumentCheck)).toHaveLength(before);
	});
	it('the same check sent twice is kept once', async () => {
		const instrumentId = await caliper();
		const body = checked(instrumentCheckBody, { instrumentId, reference: '1.7', readings: ['1.70'], at: AT });
		await postInstrumentCheck(t.db, body, NOW);
		expect((await postInstrumentCheck(t.db, body, NOW)).repeated).toBe(true);
		expect((await listWorkshop(t.db)).instruments.find((i) => i.id === instrumentId)?.checks).toHaveLength(1);
	});
});

describe('gauge study', () => {
	/** Two raters, three places, two rounds; the second presses harder. */
	const readings = [0, 1].flatMap(() =>
		[0, 1].flatMap((rater) => [0, 1, 2].map((place) => ({ place, rater, typed: (1.74 + place * 0.02 - rater * 0.015).toFixed(3) })))
	);
	const study = (instrumentId: string, given: object = {}) =>
		postGaugeStudy(t.db, checked(gaugeStudyBody, { instrumentId, raters: ['Ada', 'Ben'], readings, at: AT, ...given }), NOW);

	it('keeps its raw readings, and what was measured with the instrument is judged anew', async () => {
		const instrumentId = await caliper();
		const spoolId = (await addSpool(t.db, checked(intakeBody, { material: 'PETG', at: AT, labelTolerance: '0.02 mm' }), NOW)).answer
			.spoolId;
		const given = { spoolId, quantity: 'diameter', instrumentId, takenAt: AT };
		for (const typed of ['1.75', '1.76', '1.74', '1.75'])
			await postReading(t.db, checked(readingBody, { ...given, typed, placeIndex: 0 }), NOW);
		const largest = async () =>
			(await loadSpool(t.db, spoolId, NOW)).findings
				.find((f) => f.quantity === 'diameterMean')
				?.messages.find((m) => m.id.startsWith('budget.'))?.id;
		expect(await largest()).toBe('budget.errorLimit');
		// Raters 0.04 mm apart outweigh an error limit of 0.02 mm, which is 0.0115 mm as a standard uncertainty.
		const apart = readings.map((r) => ({ ...r, typed: (Number(r.typed) - r.rater * 0.04).toFixed(3) }));
		await study(instrumentId, { readings: apart });
		expect(await largest()).toBe('budget.raters');
		const found = (await listWorkshop(t.db)).instruments.find((i) => i.id === instrumentId)?.studies[0];
		expect(found).toMatchObject({ places: 3, raters: 2, repeats: 2 });
		expect(found?.ratersSd).toBeCloseTo(0.055 / Math.SQRT2, 3);
		expect((await studiesOf(t.db, instrumentId))[0]?.readings[3]).toEqual({ place: 0, rater: 1, typed: '1.685', value: 1.685 });
	});
	it('refuses by the reading, and a study that is not whole; nothing is stored', async () => {
		const instrumentId = await caliper();
		const slip = readings.map((r, i) => (i === 4 ? { ...r, typed: '17.4' } : r));
		expect(await errorsOf(() => study(instrumentId, { readings: slip }))).toMatchObject([{ path: 'readings.4.typed' }]);
		expect(await errorsOf(() => study(instrumentId, { readings: readings.slice(1) }))).toMatchObject([
			{ path: 'readings', code: 'unbalancedStudy' }
		]);
		expect(await errorsOf(() => study(instrumentId, { raters: ['Ada'] }))).toHaveLength(6);
		expect(await errorsOf(() => study(instrumentId, { raters: ['Ada', 'Ben', 'Cy'] }))).toMatchObject([{ path: 'readings' }]);
		expect(await errorsOf(() => study(v7()))).toMatchObject([{ path: 'instrumentId' }]);
		expect(await studiesOf(t.db, instrumentId)).toEqual([]);
	});
});

describe('a gauge’s log', () => {
	const layout = {
		headerRows: 1,
		delimiter: ',',
		decimal: '.',
		unit: 'mm',
		along: 1,
		across: 2,
		place: { kind: 'position', column: 0, perMetre: 1 }
	};
	/** A strand that swings by 0.008 mm every 1.6 m, with one thickening; 90,000 samples are three chunks. */
	const rows = (n: number) =>
		Array.from({ length: n }, (_, i) => {
			const mm = 1.75 + 0.008 * Math.sin((2 * Math.PI * i * 0.01) / 1.6) + ((i * 7919) % 13) / 5000 + (i === 4321 ? 0.3 : 0);
			return `${(i * 0.01).toFixed(2)},${mm.toFixed(4)},${(mm + 0.002).toFixed(4)}`;
		});
	const slicesOf = (text: string, size: number) => {
		const bytes = Buffer.from(text);
		return Array.from({ length: Math.ceil(bytes.length / size) }, (_, i) => bytes.subarray(i * size, (i + 1) * size));
	};
	const spoolOf = async () =>
		(await addSpool(t.db, checked(intakeBody, { material: 'PETG', at: AT, labelTolerance: '0.02 mm' }), NOW)).answer.spoolId;
	const announce = async (spoolId: string, slices: number) =>
		(await announceLog(t.db, checked(logBody, { spoolId, name: 'gauge.csv', slices, layout, at: AT }), NOW)).answer.id;
	const end = (logId: string, outcome: 'commit' | 'cancel', id = v7()) => endLog(t.db, checked(logEndBody, { id, logId, outcome }), NOW);
	const findings = async (spoolId: string) => (await loadSpool(t.db, spoolId, NOW)).findings;

	it('is looked at for the nominal diameter that is stated of its filament, not the usual one', async () => {
		const given = { material: 'PETG', at: AT, nominalDiameter: '2.85 mm' };
		const { spoolId } = (await addSpool(t.db, checked(intakeBody, given), NOW)).answer;
		const thick = Array.from({ length: 2000 }, (_, i) => `${(i * 0.01).toFixed(2)},${(2.85 + ((i * 7919) % 13) / 5000).toFixed(4)},2.85`);
		const logId = await announce(spoolId, 1);
		await putSlice(t.db, logId, 0, Buffer.from(['m,a,b', ...thick].join('\n')));
		await end(logId, 'commit');
		const [evidence] = await loadEvidence(t.db, [spoolId]);
		expect(evidence?.logs[0]?.summary.thickSpots).toMatchObject({ count: 0 });
	});

	it('arrives in slices in any order, is taken whole, and speaks for the spool', async () => {
		const spoolId = await spoolOf();
		const slices = slicesOf(['m,a,b', ...rows(90_000)].join('\n'), 700_000);
		const logId = await announce(spoolId, slices.length);
		for (const k of slices.map((_, i) => i).reverse()) await putSlice(t.db, logId, k, slices[k] as Buffer);
		expect((await findings(spoolId)).find((f) => f.quantity === 'diameterMean')?.n).toBe(0);
		expect(await logState(t.db, logId)).toMatchObject({ committed: false, received: slices.map((_, i) => i) });
		const endId = v7();
		expect((await end(logId, 'commit', endId)).answer.samples).toBe(90_000);
		expect((await end(logId, 'commit', endId)).repeated).toBe(true);
		expect(await t.db.select().from(seriesSlice)).toHaveLength(0);
		const found = await findings(spoolId);
		const mean = found.find((f) => f.quantity === 'diameterMean');
		expect(mean).toMatchObject({ n: 90_000, inputs: { used: [logId] } });
		const said = found.find((f) => f.quantity === 'diameterSpread')?.messages;
		expect(Number(said?.find((m) => m.id === 'periodicity')?.params.period)).toBeCloseTo(1.6, 2);
		expect(said?.find((m) => m.id === 'thickSpotsJam')?.params).toMatchObject({ count: 1, at: 43.21 });
		const whole = await logPicture(t.db, logId, { columns: 300 });
		expect(Math.max(...whole.columns.map((c) => c.highMm))).toBeGreaterThan(2.04);
		const near = await logPicture(t.db, logId, { fromM: 43.2, toM: 43.3, columns: 300 });
		expect(near.columns).toHaveLength(11);
		// What was worked out may be thrown away: the samples tell the same again.
		await t.db.delete(seriesSummary);
		const [before, after] = [
			found,
			await (async () => {
				await postInstrument(t.db, checked(instrumentBody, { name: 'x', errorLimit: '0.02', resolution: '0.01' }), NOW);
				return findings(spoolId);
			})()
		];
		expect(after).toEqual(before);
	});
	it('can go on after it broke off, and refuses another piece in the same place', async () => {
		const logId = await announce(await spoolOf(), 3);
		await putSlice(t.db, logId, 0, Buffer.from('m,a,b\n0,1.75,'));
		await putSlice(t.db, logId, 0, Buffer.from('m,a,b\n0,1.75,'));
		await expect(putSlice(t.db, logId, 0, Buffer.from('m,a,b\n0,1.76,'))).rejects.toMatchObject({ status: 409 });
		await expect(putSlice(t.db, logId, 3, Buffer.from('x'))).rejects.toMatchObject({ status: 422 });
		await expect(end(logId, 'commit')).rejects.toMatchObject({ status: 409, title: 'Slice 2 of 3 has not arrived yet.' });
		expect((await logState(t.db, logId)).received).toEqual([0]);
		await putSlice(t.db, logId, 1, Buffer.from('1.75\n0.01,1.7'));
		await putSlice(t.db, logId, 2, Buffer.from('6,1.75\n'));
		expect((await end(logId, 'commit')).answer.samples).toBe(2);
		await expect(putSlice(t.db, logId, 1, Buffer.from('x'))).rejects.toMatchObject({ status: 409 });
	});
	it('with a fault in row 17 changes nothing; cancelled it leaves nothing', async () => {
		const spoolId = await spoolOf();
		const lines = ['m,a,b', ...rows(40)];
		lines[16] = '0.15,1.75,moist';
		const logId = await announce(spoolId, 1);
		await putSlice(t.db, logId, 0, Buffer.from(lines.join('\n')));
		expect(await errorsOf(() => end(logId, 'commit'))).toEqual([
			{ path: 'rows.17', code: 'rowNotANumber', params: { row: 17, text: 'moist' } }
		]);
		expect(await logState(t.db, logId)).toMatchObject({ committed: false, received: [0] });
		expect((await findings(spoolId)).find((f) => f.quantity === 'diameterMean')?.n).toBe(0);
		const before = (await t.db.select({ id: seriesChunk.seriesId }).from(seriesChunk)).length;
		await end(logId, 'cancel');
		expect((await t.db.select({ id: series.id }).from(series)).some((row) => row.id === logId)).toBe(false);
		expect(await t.db.select({ id: seriesChunk.seriesId }).from(seriesChunk)).toHaveLength(before);
		await expect(logState(t.db, logId)).rejects.toMatchObject({ status: 404 });
	});
	it('is read whole where a slice ends in the middle of a character', async () => {
		const logId = await announce(await spoolOf(), 2);
		const lines = ['m,a,b', ...rows(4)];
		lines[3] = '0.02,1.75,naß';
		const bytes = Buffer.from(lines.join('\n'));
		const middle = bytes.indexOf(Buffer.from('ß')) + 1;
		await putSlice(t.db, logId, 0, bytes.subarray(0, middle));
		await putSlice(t.db, logId, 1, bytes.subarray(middle));
		expect(await errorsOf(() => end(logId, 'commit'))).toEqual([
			{ path: 'rows.4', code: 'rowNotANumber', params: { row: 4, text: 'naß' } }
		]);
	});
	it('can be marked invalid: then the readings speak again, and it stays on record', async () => {
		const spoolId = await spoolOf();
		const logId = await announce(spoolId, 1);
		await putSlice(t.db, logId, 0, Buffer.from(['m,a,b', ...rows(500)].join('\n')));
		await end(logId, 'commit');
		await postReading(t.db, checked(readingBody, { spoolId, quantity: 'diameter', typed: '1.75', takenAt: AT }), NOW);
		expect((await findings(spoolId)).find((f) => f.quantity === 'diameterMean')?.n).toBe(500);
		await postAmendment(
			t.db,
			checked(amendmentBody, { targetKind: 'log', targetId: logId, action: 'exclude', reason: 'gauge was not warm', at: AT }),
			NOW
		);
		expect((await findings(spoolId)).find((f) => f.quantity === 'diameterMean')?.n).toBe(1);
		expect((await logState(t.db, logId)).committed).toBe(true);
	});
	it('can be left out in part: the rest is judged, an undo brings it back, and never all of it', async () => {
		const spoolId = await spoolOf();
		const logId = await announce(spoolId, 1);
		await putSlice(t.db, logId, 0, Buffer.from(['m,a,b', ...rows(5000)].join('\n')));
		await end(logId, 'commit');
		const amend = async (input: object) =>
			(await postAmendment(t.db, checked(amendmentBody, { targetKind: 'log', targetId: logId, at: AT, ...input }), NOW)).answer.id;
		const leave = (fromM: number, toM: number) => amend({ action: 'exclude', range: { fromM, toM }, reason: 'the gauge was touched' });
		const seen = async () => {
			const found = await findings(spoolId);
			const thickSpots = found.find((f) => f.quantity === 'diameterSpread')?.messages.find((m) => m.id.startsWith('thickSpots'));
			return {
				n: found.find((f) => f.quantity === 'diameterMean')?.n,
				thickSpots: thickSpots && 'count' in thickSpots.params ? thickSpots.params.count : 0
			};
		};
		const before = await seen();
		expect(before).toEqual({ n: 5000, thickSpots: 1 });
		// 43.21 m is the thickening; both ends belong to the part.
		const part = await leave(43.2, 43.22);
		expect(await seen()).toEqual({ n: 4997, thickSpots: 0 });
		expect((await loadSpool(t.db, spoolId, NOW)).evidence.logs[0]?.leftOut).toMatchObject([{ amendmentId: part, fromM: 43.2, toM: 43.22 }]);
		await amend({ action: 'undo', undoesId: part });
		expect(await seen()).toEqual(before);
		expect(await errorsOf(() => leave(0, 60))).toMatchObject([{ path: 'range' }]);
		await leave(0, 30);
		expect(await errorsOf(() => leave(30, 60))).toMatchObject([{ path: 'range', code: 'nothingLeftOfLog' }]);
		expect(await errorsOf(() => leave(70, 71))).toMatchObject([{ path: 'range', code: 'noSampleBetween' }]);
		expect((await seen()).n).toBe(1999);
		expect(await errorsOf(() => leave(2, 1))).toMatchObject([{ path: 'range.toM' }]);
		const input = { targetKind: 'reading', targetId: logId, at: AT, action: 'exclude', range: { fromM: 0, toM: 1 }, reason: 'x' };
		expect(await errorsOf(() => checked(amendmentBody, input))).toMatchObject([{ path: 'range' }]);
	});
	it('of a gauge that is still measuring: announced without a number, ended with one', async () => {
		const spoolId = await spoolOf();
		const body = checked(logBody, { spoolId, name: 'live', layout, at: AT });
		const { id: logId } = (await announceLog(t.db, body, NOW)).answer;
		const pieces = slicesOf(['m,a,b', ...rows(300)].join('\n'), 4000);
		for (const [k, piece] of pieces.entries()) await putSlice(t.db, logId, k, piece);
		expect(await logState(t.db, logId)).toMatchObject({ slices: null, committed: false });
		expect(await errorsOf(() => end(logId, 'commit'))).toMatchObject([{ path: 'slices' }]);
		const finish = (slices: number) => endLog(t.db, checked(logEndBody, { logId, outcome: 'commit', slices }), NOW);
		await expect(finish(pieces.length + 1)).rejects.toMatchObject({ status: 409 });
		expect((await finish(pieces.length)).answer.samples).toBe(300);
		expect((await findings(spoolId)).find((f) => f.quantity === 'diameterMean')?.n).toBe(300);
	});
	it('refuses what cannot be: no such spool, one column for both axes, too many slices', async () => {
		expect(await errorsOf(() => announce(v7(), 1))).toMatchObject([{ path: 'spoolId' }]);
		const spoolId = await spoolOf();
		const body = { spoolId, name: 'g', slices: 1, layout, at: AT };
		expect(await errorsOf(() => checked(logBody, { ...body, layout: { ...layout, across: 1 } }))).toMatchObject([
			{ path: 'layout.across' }
		]);
		expect(await errorsOf(() => checked(logBody, { ...body, slices: 1000 }))).toMatchObject([{ path: 'slices' }]);
		expect(await errorsOf(() => checked(logBody, { ...body, layout: { ...layout, place: { kind: 'step', stepM: 0 } } }))).toHaveLength(1);
	});
});
