import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checked, errorsOf } from '../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import type { Finding } from '$lib/core/judging/finding/types';
import { amendmentBody, instrumentBody } from '../schemas/amendment';
import { attemptBody, printerBody, printerFactsBody } from '../schemas/attempt';
import { dryerBody, dryingEndBody, dryingFactsBody, dryingRunBody } from '../schemas/drying';
import { handbookBody } from '../schemas/handbook';
import { readingBody } from '../schemas/reading';
import { intakeBody } from '../schemas/spool';
import { specimenBody } from '../schemas/strength';
import { protocolBody, trialBody, trialFactsBody, trialLeaveBody, trialSpoolBody } from '../schemas/trial';
import { partBody, partStateBody } from '../schemas/use-log';
import { postAmendment } from './answers/amendments/post';
import { dryingRun } from './base/db/schema';
import { postDryingFacts } from './stations/drying/correct-run';
import { postDryer, postDryingEnd, postDryingRun } from './stations/drying/post';
import { runningRuns, runsOf } from './stations/drying/runs';
import { factsOf } from './record/facts/facts';
import { loadHandbook, postHandbook } from './record/handbook/handbook';
import { addSpool } from './stations/intake/add-spool';
import { postAttempt } from './stations/prints/post-attempt';
import { postReading } from './stations/readings/post';
import { loadSpool } from './answers/spools/load';
import { postSpecimen } from './stations/strength/post-specimen';
import { sheetOf } from './answers/trials/findings';
import { listTrials, loadTrial } from './answers/trials/load';
import { saidLater } from './answers/trials/said-later';
import { postHouseSpool, postProtocol, postTrial, postTrialFacts, postTrialLeave, postTrialSpool } from './answers/trials/post';
import { postPart, postPartState } from './stations/use-log/use-log';
import { listWorkshop, postInstrument, postPrinter, postPrinterFacts } from './stations/workshop/workshop';

const NOW = Date.parse('2026-10-10T12:00:00Z');
const HOUR = 3_600_000;
/** A moment so many hours before now. */
const ago = (hours: number) => new Date(NOW - hours * HOUR).toISOString();
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const intake = async (given: object = {}) =>
	(await addSpool(t.db, checked(intakeBody, { material: 'PETG', at: ago(900), ...given }), NOW)).answer.spoolId;
const post = async (spoolId: string, quantity: string, typed: string, hours: number, more: object = {}) =>
	(await postReading(t.db, checked(readingBody, { spoolId, quantity, typed, takenAt: ago(hours), ...more }), NOW)).answer.id;
const findingOf = async (spoolId: string, quantity: string) =>
	(await loadSpool(t.db, spoolId, NOW)).findings.find((f) => f.quantity === quantity) as Finding;
const dryer = async (given: object = {}) => (await postDryer(t.db, checked(dryerBody, { name: 'Box', ...given }), NOW)).answer.id;
const start = async (dryerId: string, spoolIds: string[], more: object = {}) =>
	(await postDryingRun(t.db, checked(dryingRunBody, { dryerId, spoolIds, setPoint: '60 C', duration: '4', at: ago(5), ...more }), NOW))
		.answer;
const end = async (runId: string, outcome: 'done' | 'void' = 'done', hours = 1) =>
	await postDryingEnd(t.db, checked(dryingEndBody, { runId, outcome, at: ago(hours) }), NOW);

describe('weighing', () => {
	it('infers what lay between, and can be corrected without losing the first word', async () => {
		const spoolId = await intake({ grossMass: '1240 g', tare: '230 g' });
		await postAttempt(t.db, checked(attemptBody, { spoolId, outcome: 'finished', at: ago(500) }), NOW);
		const weighing = await post(spoolId, 'grossMass', '1221.0 g', 480);
		await post(spoolId, 'grossMass', '1222.0 g', 300);
		expect((await findingOf(spoolId, 'waterUptake')).estimate).toBeCloseTo((100 * (1222 - 1221)) / 991, 6);
		const correction = {
			targetKind: 'reading',
			targetId: weighing,
			action: 'correct',
			before: 'air',
			reason: 'that print was weighed apart',
			at: ago(2)
		};
		const { answer } = await postAmendment(t.db, checked(amendmentBody, correction), NOW);
		expect((await findingOf(spoolId, 'waterUptake')).estimate).toBeLessThan(0);
		const undo = { targetKind: 'reading', targetId: weighing, action: 'undo', undoesId: answer.id, at: ago(1) };
		await postAmendment(t.db, checked(amendmentBody, undo), NOW);
		expect((await findingOf(spoolId, 'waterUptake')).estimate).toBeGreaterThan(0);
	});
	it('a tare found later changes all results; one that contradicts is refused at its field', async () => {
		const spoolId = await intake();
		await post(spoolId, 'grossMass', '1200.0 g', 300);
		await post(spoolId, 'grossMass', '1202.0 g', 200);
		expect((await findingOf(spoolId, 'waterUptake')).interval?.kind).toBe('bounds');
		await post(spoolId, 'tareMass', '200 g', 10);
		const found = await findingOf(spoolId, 'waterUptake');
		expect(found.estimate).toBeCloseTo(0.2, 9);
		expect(found.interval?.kind).toBe('confidence');
		expect(await errorsOf(() => post(spoolId, 'tareMass', '1300 g', 5))).toMatchObject([{ code: 'grossBelowTare' }]);
	});
	it('only a weighing has something before it', async () => {
		const spoolId = await intake();
		expect(await errorsOf(() => post(spoolId, 'diameter', '1.75', 5, { before: 'air' }))).toMatchObject([{ path: 'before' }]);
	});
	it('a scale is kept in grams, a caliper in millimetres, each within what is believable', async () => {
		await postInstrument(t.db, checked(instrumentBody, { name: 'Scale', measures: 'mass', errorLimit: '0.3 g', resolution: '0.1 g' }), NOW);
		expect((await listWorkshop(t.db)).scales).toMatchObject([{ name: 'Scale', errorLimit: 0.3, resolution: 0.1 }]);
		const wrong = { name: 'Scale', measures: 'mass', errorLimit: '0.3 mm', resolution: '2 kg' };
		expect(await errorsOf(() => postInstrument(t.db, checked(instrumentBody, wrong), NOW))).toMatchObject([
			{ path: 'errorLimit', code: 'notAnErrorLimit', params: { dimension: 'mass', most: 100 } },
			{ path: 'resolution', code: 'notAnErrorLimit' }
		]);
		// Whose leaflet is lost: one step of its display.
		await postInstrument(t.db, checked(instrumentBody, { name: 'Kitchen', measures: 'mass', resolution: '1 g' }), NOW);
		expect((await listWorkshop(t.db)).scales.at(-1)).toMatchObject({ name: 'Kitchen', errorLimit: 1, resolution: 1 });
		const stepOnly = { name: 'Kitchen', measures: 'mass', resolution: 'fine' };
		expect(await errorsOf(() => postInstrument(t.db, checked(instrumentBody, stepOnly), NOW))).toMatchObject([{ path: 'resolution' }]);
	});
});

describe('drying', () => {
	it('a run is there for every reader until it is ended, and then has dried its spools', async () => {
		const [a, b] = [await intake(), await intake()];
		const run = await start(await dryer(), [a, b]);
		expect(run).toMatchObject({ setPointC: 60, startedAt: NOW - 5 * HOUR, plannedEndAt: NOW - HOUR });
		expect(
			(await runningRuns(t.db))
				.find((r) => r.id === run.id)
				?.spools.map((s) => s.id)
				.sort()
		).toEqual([a, b].sort());
		expect((await loadSpool(t.db, a, NOW)).evidence.events.map((e) => e.kind)).toEqual(['opened', 'drying']);
		await end(run.id);
		expect(await runningRuns(t.db)).toEqual([]);
		expect((await loadSpool(t.db, a, NOW)).evidence.events.at(-1)).toMatchObject({
			kind: 'dried',
			at: NOW - HOUR,
			drying: { runId: run.id, setPointC: 60, dryer: 'Box' }
		});
		expect((await runsOf(t.db, [b]))[0]?.end).toMatchObject({ outcome: 'done' });
	});
	it('mass before and after give grams and per cent lost', async () => {
		const spoolId = await intake({ tare: '200 g' });
		await post(spoolId, 'grossMass', '1203.0 g', 6);
		const run = await start(await dryer(), [spoolId]);
		await end(run.id);
		await post(spoolId, 'grossMass', '1200.0 g', 0.5);
		expect((await findingOf(spoolId, 'dryingLoss')).estimate).toBeCloseTo((3 / 1003) * 100, 9);
	});
	it('a void run dries nothing; a run ends once', async () => {
		const spoolId = await intake();
		const run = await start(await dryer(), [spoolId]);
		await end(run.id, 'void');
		expect((await loadSpool(t.db, spoolId, NOW)).evidence.events.map((e) => e.kind)).toEqual(['opened']);
		await expect(end(run.id)).rejects.toMatchObject({ status: 409 });
		expect(await errorsOf(() => end(v7()))).toMatchObject([{ path: 'runId', code: 'unknownId' }]);
	});
	it('the softest material of the load limits it; over the range is asked about; the dryer limits too', async () => {
		const [pla, petg] = [await intake({ material: 'PLA' }), await intake()];
		const box = await dryer({ setPointLow: '35', setPointHigh: '70 C' });
		const said = (spoolIds: string[], more: object) => errorsOf(() => start(box, spoolIds, { at: ago(0), ...more }));
		expect(await said([petg, pla], { setPoint: '60 C' })).toMatchObject([
			{ path: 'setPoint', code: 'softens', params: { material: 'PLA', limitC: 55 } }
		]);
		expect(await said([petg, pla], { setPoint: '60 C', accepted: true })).toMatchObject([{ code: 'softens' }]);
		expect(await said([petg], { setPoint: '68 C' })).toMatchObject([{ code: 'aboveDryingRange', suggestion: '65 C' }]);
		expect(await said([petg], { setPoint: '85 C', accepted: true })).toMatchObject([{ code: 'beyondDryer' }, { code: 'softens' }]);
	});
	it('the guard stops a start and never the record of what was done', async () => {
		const pla = await intake({ material: 'PLA' });
		const box = await dryer({ setPointHigh: '70 C' });
		const hot = (more: object) => start(box, [pla], { setPoint: '80 C', ...more });
		expect(await errorsOf(() => hot({ at: ago(0.1) }))).toMatchObject([{ code: 'beyondDryer' }, { code: 'softens' }]);
		const run = await hot({ at: ago(30), endedAt: ago(26) });
		expect((await loadSpool(t.db, pla, NOW)).evidence.events.at(-1)).toMatchObject({
			kind: 'dried',
			at: NOW - 26 * HOUR,
			drying: { runId: run.id, setPointC: 80, startedAt: NOW - 30 * HOUR }
		});
		expect((await runsOf(t.db, [pla]))[0]?.end).toEqual({ at: NOW - 26 * HOUR, outcome: 'done' });
		expect((await runningRuns(t.db)).map((r) => r.id)).not.toContain(run.id);
	});
	it('times and temperature of a run are put right with a reason, and undone', async () => {
		const spoolId = await intake();
		const run = await start(await dryer(), [spoolId]);
		const seen = async () => (await loadSpool(t.db, spoolId, NOW)).evidence.events.at(-1);
		const correct = (more: object) =>
			postDryingFacts(t.db, checked(dryingFactsBody, { runId: run.id, reason: 'wrong clock', ...more }), NOW);
		await correct({ startedAt: ago(6) });
		expect(await seen()).toMatchObject({ kind: 'drying', at: NOW - 6 * HOUR });
		// It was to run for four hours, whenever it began.
		expect((await runningRuns(t.db)).find((r) => r.id === run.id)).toMatchObject({
			startedAt: NOW - 6 * HOUR,
			plannedEndAt: NOW - 2 * HOUR
		});
		expect(await errorsOf(() => correct({ endedAt: ago(1) }))).toMatchObject([{ path: 'endedAt', code: 'notEndedYet' }]);
		await end(run.id);
		await correct({ endedAt: ago(0.5), setPoint: '55 C' });
		expect(await seen()).toMatchObject({ kind: 'dried', at: NOW - HOUR / 2, drying: { startedAt: NOW - 6 * HOUR, setPointC: 55 } });
		expect(await errorsOf(() => correct({ endedAt: ago(7) }))).toMatchObject([{ path: 'endedAt', code: 'beforeDrying' }]);
		expect(await errorsOf(() => correct({ startedAt: ago(0.2) }))).toMatchObject([{ path: 'startedAt', code: 'beforeDrying' }]);
		expect(await errorsOf(() => correct({ setPoint: 'warm' }))).toMatchObject([{ path: 'setPoint' }]);
		expect(await errorsOf(() => correct({}))).toMatchObject([{ code: 'correctionMissing' }]);
		const [kept] = await runsOf(t.db, [spoolId]);
		expect(kept).toMatchObject({ setPointC: 55, end: { at: NOW - HOUR / 2 }, corrected: { reason: 'wrong clock' } });
		const undo = { targetKind: 'dryingRun', targetId: run.id, action: 'undo', undoesId: kept?.corrected?.id, at: ago(0) };
		await postAmendment(t.db, checked(amendmentBody, undo), NOW + 1);
		expect(await seen()).toMatchObject({ at: NOW - HOUR, drying: { startedAt: NOW - 6 * HOUR, setPointC: 60 } });
		// An end that only the other correction allows does not outlive it.
		await correct({ endedAt: ago(5.5) });
		const corrections = (await factsOf(t.db, 'dryingRun', [run.id])).get(run.id)?.filter((a) => a.action === 'correct');
		const [first, later] = [corrections?.[0], corrections?.at(-1)];
		expect(await errorsOf(() => postAmendment(t.db, checked(amendmentBody, { ...undo, undoesId: first?.id }), NOW + 2))).toMatchObject([
			{ path: 'undoesId', code: 'undoLaterFirst' }
		]);
		expect(await seen()).toMatchObject({ at: NOW - 5.5 * HOUR, drying: { startedAt: NOW - 6 * HOUR } });
		await postAmendment(t.db, checked(amendmentBody, { ...undo, undoesId: later?.id }), NOW + 3);
		await postAmendment(t.db, checked(amendmentBody, { ...undo, undoesId: first?.id }), NOW + 4);
		expect(await seen()).toMatchObject({ at: NOW - HOUR, drying: { startedAt: NOW - 5 * HOUR } });
		// What was noted first stays as it was.
		const [raw] = await t.db.select().from(dryingRun).where(eq(dryingRun.id, run.id));
		expect(raw).toMatchObject({ startedAt: NOW - 5 * HOUR, setPointC: 60 });
	});
	it('a run of the past ends after it began, not in the future, and may be told while the spool is in a dryer again', async () => {
		const spoolId = await intake();
		const box = await dryer();
		expect(await errorsOf(() => start(box, [spoolId], { at: ago(5), endedAt: ago(6) }))).toMatchObject([
			{ path: 'endedAt', code: 'beforeDrying' }
		]);
		expect(await errorsOf(() => start(box, [spoolId], { at: ago(5), endedAt: ago(-1) }))).toMatchObject([
			{ path: 'endedAt', code: 'future' }
		]);
		expect((await loadSpool(t.db, spoolId, NOW)).evidence.events.map((e) => e.kind)).toEqual(['opened']);
		await start(box, [spoolId], { at: ago(2) });
		await start(box, [spoolId], { at: ago(50), endedAt: ago(46) });
		expect((await loadSpool(t.db, spoolId, NOW)).evidence.events.map((e) => e.kind)).toEqual(['opened', 'dried', 'drying']);
	});
	it('degrees Fahrenheit and minutes are taken as typed', async () => {
		const run = await start(await dryer(), [await intake()], { setPoint: '140 F', duration: '90 min' });
		expect(run.setPointC).toBeCloseTo(60, 9);
		expect(run.plannedEndAt - run.startedAt).toBe(90 * 60_000);
	});
	it('a spool is in one dryer at a time, and nonsense names its field', async () => {
		const spoolId = await intake();
		const box = await dryer();
		await start(box, [spoolId]);
		expect(await errorsOf(() => start(box, [spoolId]))).toMatchObject([{ path: 'spoolIds.0', code: 'inDryer' }]);
		expect(await errorsOf(() => start(v7(), [v7()], { setPoint: 'hot', duration: 'long' }))).toMatchObject([
			{ path: 'setPoint' },
			{ path: 'duration' },
			{ path: 'dryerId' },
			{ path: 'spoolIds.0' }
		]);
		const other = await intake({ material: 'XYZ' });
		expect(await errorsOf(() => start(box, [other], { at: ago(0) }))).toMatchObject([{ code: 'dryingNotKnown' }]);
		expect((await start(box, [other], { at: ago(0), accepted: true })).setPointC).toBe(60);
	});
});

describe('strength', () => {
	const hook = async (spoolId: string, loads: [quantity: string, typed: string][], more: object = {}) => {
		const body = { spoolId, shape: 'Hook', orientation: 'upright', method: 'steps', at: ago(4), ...more };
		const specimenId = (await postSpecimen(t.db, checked(specimenBody, body), NOW)).answer.id;
		for (const [quantity, typed] of loads) await post(spoolId, quantity, typed, 3, { specimenId });
		return specimenId;
	};
	it('a bucket test in pounds: bucket counted, steps an interval, text and unit as typed', async () => {
		const spoolId = await intake();
		await hook(spoolId, [
			['bucketMass', '0.5 kg'],
			['loadHeld', '20 lb'],
			['loadBroke', '25 lb'],
			['failure', 'layers']
		]);
		const f = await findingOf(spoolId, 'strengthLoad');
		const bucketN = 0.5 * 9.80665;
		const inN = (pounds: number) => pounds * 0.45359237 * 9.80665 + bucketN;
		const [seen] = f.figure.kind === 'loads' ? f.figure.loads : [];
		expect(seen?.low).toBeCloseTo(inN(20), 9);
		expect(seen?.high).toBeCloseTo(inN(25), 9);
		expect(f.messages.map((m) => m.id)).toContain('failed.layers');
		const whole = await loadSpool(t.db, spoolId, NOW);
		expect(whole.evidence.readings.filter((r) => r.quantity === 'loadHeld')).toMatchObject([{ typedText: '20 lb', typedUnit: 'lb' }]);
	});
	it('a load belongs to a test part of its spool', async () => {
		const [mine, other] = [await intake(), await intake()];
		const specimenId = await hook(other, []);
		expect(await errorsOf(() => post(mine, 'loadHeld', '20 lb', 1))).toMatchObject([{ path: 'specimenId', code: 'loadWithoutSpecimen' }]);
		expect(await errorsOf(() => post(mine, 'loadHeld', '20 lb', 1, { specimenId }))).toMatchObject([{ code: 'notOfSpool' }]);
	});
	it('a specimen marked invalid takes its loads along; both stay on record', async () => {
		const spoolId = await intake();
		const specimenId = await hook(spoolId, [['loadBroke', '100 N']], { method: 'direct' });
		await hook(spoolId, [['loadBroke', '120 N']], { method: 'direct' });
		expect((await findingOf(spoolId, 'strengthLoad')).n).toBe(2);
		const out = { targetKind: 'specimen', targetId: specimenId, action: 'exclude', reason: 'knocked over', at: ago(1) };
		await postAmendment(t.db, checked(amendmentBody, out), NOW);
		expect(await findingOf(spoolId, 'strengthLoad')).toMatchObject({ n: 1, figure: { loads: [{ low: 119.5, high: 120.5 }] } });
		expect((await loadSpool(t.db, spoolId, NOW)).evidence.specimens).toHaveLength(2);
	});
	it('in a trial the scale is the trial’s; the number is not moved by it', async () => {
		const [house, one] = [await intake(), await intake()];
		for (const typed of ['100 N', '112 N', '104 N', '95 N']) await hook(house, [['loadBroke', typed]], { method: 'direct' });
		await hook(one, [['loadBroke', '140 N']], { method: 'direct' });
		await postHouseSpool(t.db, { id: v7(), spoolId: house }, NOW);
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Hooks', spoolIds: [house, one] }), NOW)).answer.id;
		const whole = await loadTrial(t.db, trialId);
		const rules = {
			trialId,
			settingsPolicy: 'label',
			conditionPolicy: 'asReceived',
			valueRule: 'weighted',
			repeats: 1,
			diameterPlaces: 5,
			diameterDirections: 2
		};
		expect(whole.basis.specimenKinds.load).toBe('hook · upright · direct');
		await postProtocol(t.db, checked(protocolBody, { ...rules, strengthHighN: 200 }), NOW);
		const sheet = sheetOf(await loadTrial(t.db, trialId));
		const column = sheet.columns.findIndex((c) => c.id === 'strengthLoad');
		expect(sheet.columns[column]?.scale).toEqual({ low: 0, high: 200 });
		expect(sheet.rows[1]?.cells[column]?.findings[0]).toMatchObject({
			n: 1,
			estimate: (await findingOf(one, 'strengthLoad')).estimate
		});
	});
});

describe('handbook and printers', () => {
	it('an own copy counts, is versioned, and can be taken back', async () => {
		const [first] = await loadHandbook(t.db);
		const { edited: _, ...figures } = first as NonNullable<typeof first>;
		const own = { ...figures, softeningC: { low: 58, high: 58, source: 'own test' } };
		await postHandbook(t.db, checked(handbookBody, { material: figures.material, figures: own }), NOW);
		expect((await loadHandbook(t.db))[0]).toMatchObject({ edited: true, softeningC: { low: 58, source: 'own test' } });
		const lower = { ...own, material: figures.material.toLowerCase() };
		await postHandbook(t.db, checked(handbookBody, { material: lower.material, figures: lower }), NOW + 1);
		expect((await loadHandbook(t.db)).filter((m) => m.material.toUpperCase() === figures.material)).toHaveLength(1);
		await postHandbook(t.db, checked(handbookBody, { material: figures.material, figures: null }), NOW + 2);
		expect((await loadHandbook(t.db))[0]).toEqual(first);
	});
	it('a figure needs a source, and its ends in order', async () => {
		const [first] = await loadHandbook(t.db);
		const { edited: _, ...figures } = first as NonNullable<typeof first>;
		const wrong = { ...figures, softeningC: { low: 60, high: 55, source: '' } };
		expect(await errorsOf(() => Promise.resolve(checked(handbookBody, { material: figures.material, figures: wrong })))).toMatchObject([
			{ path: 'figures.softeningC.source' },
			{ path: 'figures.softeningC.high' }
		]);
	});
	it('what a printer can do may be said later, and gates see it', async () => {
		const id = v7();
		await postPrinter(t.db, checked(printerBody, { id, name: 'West', nozzle: '0.4' }), NOW);
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Gate', spoolIds: [await intake({ material: 'ASA' })] }), NOW)).answer
			.id;
		const unmet = async () => {
			const whole = await loadTrial(t.db, trialId);
			return { printer: whole.basis.printer, whole };
		};
		expect((await unmet()).printer).toMatchObject({ name: 'West', enclosed: null });
		await postPrinterFacts(
			t.db,
			checked(printerFactsBody, { printerId: id, hotEndMax: '260 C', hardenedNozzle: false, enclosed: true }),
			NOW
		);
		expect((await unmet()).printer).toMatchObject({ hotEndMaxC: 260, enclosed: true });
		expect(await errorsOf(() => postPrinterFacts(t.db, checked(printerFactsBody, { printerId: id, hotEndMax: 'hot' }), NOW))).toMatchObject(
			[{ path: 'hotEndMax' }]
		);
	});
});

describe('use log, trial facts and membership', () => {
	it('a part in service with date, place and states', async () => {
		const spoolId = await intake();
		const partId = (await postPart(t.db, checked(partBody, { spoolId, name: 'Clip', place: 'dome', at: ago(600) }), NOW)).answer.id;
		await postPartState(t.db, checked(partStateBody, { partId, state: 'holds', at: ago(400) }), NOW);
		await postPartState(t.db, checked(partStateBody, { partId, state: 'cracked', note: 'at the hinge', at: ago(20) }), NOW);
		expect((await loadSpool(t.db, spoolId, NOW)).parts).toMatchObject([
			{ name: 'Clip', place: 'dome', states: [{ state: 'holds' }, { state: 'cracked', note: 'at the hinge' }] }
		]);
		const early = { partId, state: 'holds', at: ago(700) };
		expect(await errorsOf(() => postPartState(t.db, checked(partStateBody, early), NOW))).toMatchObject([
			{ path: 'at', code: 'beforeService' }
		]);
	});
	it('a trial is renamed everywhere, and its first name stays on record', async () => {
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Frist' }), NOW)).answer.id;
		await postTrialFacts(t.db, checked(trialFactsBody, { trialId, name: 'First', question: 'Which one?' }), NOW);
		expect((await loadTrial(t.db, trialId)).head).toMatchObject({ name: 'First', question: 'Which one?' });
		expect((await listTrials(t.db)).find((x) => x.id === trialId)?.name).toBe('First');
	});
	it('what was said of a trial later is undone by itself, and stays in the list', async () => {
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Frist' }), NOW)).answer.id;
		const say = async (facts: object, now: number) =>
			(await postTrialFacts(t.db, checked(trialFactsBody, { trialId, ...facts }), now)).answer.id;
		await say({ name: 'First', reason: 'a slip' }, NOW);
		await say({ currency: 'CZK', question: '' }, NOW + 1);
		const [second, first] = await saidLater(t.db, trialId);
		expect([first, second]).toEqual([
			{ id: first?.id, at: NOW, reason: 'a slip', undone: false, name: 'First' },
			{ id: second?.id, at: NOW + 1, reason: 'said later', undone: false, question: null, currency: 'CZK' }
		]);
		const undo = { targetKind: 'trial', targetId: trialId, action: 'undo', undoesId: second?.id, at: ago(0) };
		await postAmendment(t.db, checked(amendmentBody, undo), NOW + 2);
		expect((await loadTrial(t.db, trialId)).head).toMatchObject({ name: 'First', currency: 'EUR' });
		expect((await saidLater(t.db, trialId)).map((one) => one.undone)).toEqual([true, false]);
	});
	it('a spool leaves a trial and comes back; what was measured stays with it', async () => {
		const spoolId = await intake();
		await post(spoolId, 'diameter', '1.75', 3);
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Leave', spoolIds: [spoolId] }), NOW)).answer.id;
		const members = async () => (await loadTrial(t.db, trialId)).spools.map((s) => s.spool.id).filter((id) => id === spoolId);
		await postTrialLeave(t.db, checked(trialLeaveBody, { trialId, spoolId }), NOW);
		expect(await members()).toEqual([]);
		expect((await loadSpool(t.db, spoolId, NOW)).trials).toEqual([]);
		expect((await findingOf(spoolId, 'diameterMean')).n).toBe(1);
		expect(await errorsOf(() => postTrialLeave(t.db, checked(trialLeaveBody, { trialId, spoolId }), NOW))).toMatchObject([
			{ code: 'notOfTrial' }
		]);
		await postTrialSpool(t.db, checked(trialSpoolBody, { trialId, spoolId }), NOW);
		expect(await members()).toEqual([spoolId]);
	});
	it('2.85 mm filament is judged by its own nominal', async () => {
		const spoolId = await intake({ nominalDiameter: '2.85 mm' });
		await post(spoolId, 'diameter', '2.86', 3);
		const whole = await loadSpool(t.db, spoolId, NOW);
		expect(whole.basis.nominalMm).toBe(2.85);
		expect(whole.findings.find((f) => f.quantity === 'diameterMean')?.figure).toMatchObject({ nominalMm: 2.85 });
		expect(await errorsOf(() => intake({ nominalDiameter: '1750' }))).toMatchObject([{ path: 'nominalDiameter', code: 'slip' }]);
	});
});
