import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import { checked as check, errorsOf } from '../../../tests/support/checked';
import { attemptBody, printerBody } from '../schemas/attempt';
import { dryerBody, dryingEndBody, dryingRunBody } from '../schemas/drying';
import { eventBody } from '../schemas/event';
import { handbookBody } from '../schemas/handbook';
import { readingBody } from '../schemas/reading';
import { intakeBody } from '../schemas/spool';
import { specimenBody } from '../schemas/strength';
import { ownMeasureBody, protocolBody, trialBody, trialSpoolBody } from '../schemas/trial';
import { HANDBOOK } from '../core/judging/handbook/defaults';
import { postDryer, postDryingEnd, postDryingRun } from './stations/drying/post';
import { exportBundle } from './exchange/bundle';
import { postHandbook } from './record/handbook/handbook';
import { addSpool } from './stations/intake/add-spool';
import { postAttempt } from './stations/prints/post-attempt';
import { postReading } from './stations/readings/post';
import { loadSpool } from './answers/spools/load';
import { postEvent } from './stations/events/post-event';
import { recallSpools } from './answers/spools/recall';
import { postSpecimen } from './stations/strength/post-specimen';
import { sheetOf } from './answers/trials/findings';
import { lacksOf } from './answers/trials/lacks';
import { loadTrial } from './answers/trials/load';
import { postOwnMeasure, postProtocol, postTrial, postTrialSpool } from './answers/trials/post';
import { postPrinter } from './stations/workshop/workshop';

const NOW = Date.parse('2026-11-10T12:00:00Z');
const HOUR = 3_600_000;
const ago = (hours: number) => new Date(NOW - hours * HOUR).toISOString();
const zone = 'Europe/Vienna';
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const spoolOf = async (more: object = {}) =>
	(await addSpool(t.db, check(intakeBody, { material: 'PETG', at: ago(2000), ...more }), NOW)).answer.spoolId;
const print = async (spoolId: string, hours: number, more: object = {}) =>
	(await postAttempt(t.db, check(attemptBody, { spoolId, outcome: 'finished', at: ago(hours), ...more }), NOW)).answer;
const happened = async (spoolId: string, kind: string, hours: number, more: object = {}) =>
	(await postEvent(t.db, check(eventBody, { spoolId, kind, at: ago(hours), zone, ...more }), NOW)).answer.id;
const trialOf = async (...spoolIds: string[]) => (await postTrial(t.db, check(trialBody, { name: 'A trial', spoolIds }), NOW)).answer.id;
const evidenceOf = async (spoolId: string) => (await loadSpool(t.db, spoolId, NOW)).evidence;

describe('what a spool went through', () => {
	it('a portion has its own history, and prints from it are in its state', async () => {
		const spoolId = await spoolOf();
		const portionId = await happened(spoolId, 'cutOff', 100, { portion: 'A' });
		await happened(spoolId, 'soaked', 90, { portionId, hours: 24 });
		expect((await print(spoolId, 50, { portionId })).condition).toBe('soaked');
		expect((await print(spoolId, 50)).condition).toBe('asReceived');
		const { events, attempts } = await evidenceOf(spoolId);
		expect(events.filter((e) => e.kind !== 'opened')).toMatchObject([
			{ id: portionId, portion: 'A', portionId: null },
			{ kind: 'soaked', portionId, hours: 24, humidityPct: null }
		]);
		expect(attempts.map((a) => a.portionId).sort()).toEqual([null, portionId].sort());
	});
	it('a portion of another spool, or what is none, is refused', async () => {
		const [spoolId, other] = [await spoolOf(), await spoolOf()];
		const portionId = await happened(other, 'cutOff', 100, { portion: 'A' });
		const soaked = await happened(spoolId, 'soaked', 100);
		for (const id of [portionId, soaked, v7()]) {
			expect(await errorsOf(() => happened(spoolId, 'exposed', 90, { portionId: id }))).toMatchObject([{ path: 'portionId' }]);
			expect(await errorsOf(() => print(spoolId, 80, { portionId: id }))).toMatchObject([{ path: 'portionId' }]);
		}
	});
	it('what is printed while a dryer runs is dried, before anybody ended it and after; a void run dried nothing', async () => {
		const spoolId = await spoolOf();
		const dryerId = (await postDryer(t.db, check(dryerBody, { name: 'Box', setPointLow: '40 C', setPointHigh: '80 C' }), NOW)).answer.id;
		const run = await postDryingRun(
			t.db,
			check(dryingRunBody, { dryerId, spoolIds: [spoolId], setPoint: '65 C', duration: '8 h', at: ago(6), zone }),
			NOW
		);
		expect((await print(spoolId, 7)).condition).toBe('asReceived');
		expect((await print(spoolId, 5)).condition).toBe('dried');
		const end = (outcome: string) => check(dryingEndBody, { runId: run.answer.id, outcome, at: ago(1), zone });
		await postDryingEnd(t.db, end('done'), NOW);
		expect((await print(spoolId, 4)).condition).toBe('dried');
		expect((await loadSpool(t.db, spoolId, NOW)).state).toEqual({ kind: 'dried', days: 1 / 24 });
	});
	it('dried lasts as long as the handbook says of its material, at once when that is said otherwise', async () => {
		const spoolId = await spoolOf({ material: 'PA6' });
		await happened(spoolId, 'exposed', 40);
		await print(spoolId, 20, { condition: 'dried' });
		expect((await print(spoolId, 15)).condition).toBe('dried');
		expect((await print(spoolId, 5)).condition).toBe('exposed');
		const figures = { ...HANDBOOK.find((m) => m.material === 'PA6'), dryForH: { low: 30, high: 30, source: 'our cellar' } };
		const { edited: _, ...own } = figures as typeof figures & { edited: boolean };
		await postHandbook(t.db, check(handbookBody, { material: 'PA6', figures: own }), NOW);
		expect((await evidenceOf(spoolId)).dryForH).toBe(30);
		expect((await print(spoolId, 4)).condition).toBe('dried');
	});
	it('how it failed, what was of no use, and prints by which settings were found are kept', async () => {
		const spoolId = await spoolOf();
		await print(spoolId, 3, { outcome: 'failed', percentReached: 20, cause: 'filament', failure: 'clogged', signs: ['pops'] });
		await print(spoolId, 2, { outcome: 'ofNoUse', cause: 'setUp', failure: 'lifted', tuning: true });
		await print(spoolId, 1, { failure: 'lifted' });
		expect((await evidenceOf(spoolId)).attempts).toMatchObject([
			{ outcome: 'failed', failure: 'clogged', signs: ['pops'], tuning: false },
			{ outcome: 'ofNoUse', percentReached: 100, cause: 'setUp', failure: 'lifted', tuning: true },
			{ outcome: 'finished', failure: null, cause: null }
		]);
		expect(await errorsOf(() => check(attemptBody, { spoolId, outcome: 'ofNoUse', at: ago(1) }))).toMatchObject([{ path: 'cause' }]);
	});
	it('a fellow that wanted drying is told where another reel of its product is looked at, until that one is dried', async () => {
		const of = { maker: 'Fogmakers', filament: 'Haze' };
		const [wet, next] = [await spoolOf(of), await spoolOf(of)];
		await print(wet, 30, { signs: ['hiss'] });
		const fellows = async () => (await loadSpool(t.db, next, NOW)).driedFellows.map((f) => [f.id, f.reasons.map((r) => r.id)]);
		expect(await fellows()).toEqual([[wet, ['dryFirst.signs']]]);
		await print(next, 2, { condition: 'dried' });
		expect(await fellows()).toEqual([]);
	});
});

describe('test parts', () => {
	it('take the nozzle temperature of their print where none was said, and the compared kind can be chosen', async () => {
		const spoolId = await spoolOf();
		const trialId = await trialOf(spoolId);
		const { id: attemptId } = await print(spoolId, 9, { settings: { nozzleC: 244 } });
		const part = async (more: object) =>
			(
				await postSpecimen(
					t.db,
					check(specimenBody, { spoolId, orientation: 'flat', method: 'direct', shape: 'bar', at: ago(8), zone, ...more }),
					NOW
				)
			).answer.id;
		const parts = [await part({ attemptId }), await part({ nozzleC: 250, made: 'four walls' }), await part({})];
		const { specimens } = await evidenceOf(spoolId);
		expect(parts.map((id) => specimens.find((s) => s.id === id))).toMatchObject([
			{ nozzleC: 244, made: null },
			{ nozzleC: 250, made: 'four walls' },
			{ nozzleC: null }
		]);
		const kinds = async () => (await loadTrial(t.db, trialId)).basis.specimenKinds.load;
		expect(await kinds()).toBe('bar · flat · direct');
		const chosen = { specimenKinds: { load: 'bar · flat · direct · four walls' } };
		await postProtocol(t.db, check(protocolBody, { trialId, ...chosen }), NOW);
		expect(await kinds()).toBe('bar · flat · direct · four walls');
	});
});

describe('measures of one’s own', () => {
	it('a number without a scale, and words that are no words, are refused by name', async () => {
		const refused = async (more: object) =>
			(await errorsOf(() => check(ownMeasureBody, { trialId: v7(), name: 'Feel', ...more }))).map((e) => `${e.path} ${e.code}`);
		expect(await refused({ unit: 'N' })).toEqual(['low missing', 'high missing']);
		expect(await refused({ low: 5, high: 5 })).toEqual(['high highNotAboveLow']);
		expect(await refused({ words: ['one'] })).toEqual(['words tooFewWords']);
		expect(await refused({ words: ['Rough', 'rough'] })).toEqual(['words wordTwice']);
	});
	it('in words are read by their words, in every trial; a column where they were made or measured', async () => {
		const [here, there] = [await spoolOf(), await spoolOf()];
		const [first, second] = [await trialOf(here), await trialOf(there)];
		const measure = check(ownMeasureBody, { trialId: first, name: 'Feel', words: ['sticky', 'rough', 'smooth'], family: 'looks' });
		await postOwnMeasure(t.db, measure, NOW);
		const say = (spoolId: string, typed: string) =>
			postReading(t.db, check(readingBody, { spoolId, quantity: 'own', typed, ownMeasureId: measure.id, takenAt: ago(1), zone }), NOW);
		expect(await errorsOf(() => say(here, 'greasy'))).toMatchObject([{ path: 'typed', code: 'unknownWord' }]);
		const columns = async (trialId: string) => {
			const sheet = sheetOf(await loadTrial(t.db, trialId));
			return sheet.columns.filter((c) => c.id === `own.${measure.id}`).map((c) => c.family);
		};
		expect([await columns(first), await columns(second)]).toEqual([['looks'], []]);
		await say(there, 'Rough');
		expect(await columns(second)).toEqual(['looks']);
		const { findings } = await loadSpool(t.db, there, NOW);
		expect(findings.find((f) => f.quantity === `own.${measure.id}`)).toMatchObject({ n: 1, figure: { kind: 'words', counts: [0, 1, 0] } });
		const { tables } = await exportBundle(t.db, second, NOW);
		expect(tables['own-measures']).toMatchObject([{ words: ['sticky', 'rough', 'smooth'], family: 'looks' }]);
	});
});

describe('recall with answers', () => {
	it('finds by material, spotless marks and price, and says what is known of each', async () => {
		const of = { maker: 'Recallers', labelNozzle: '230-250 C', netMass: '1 kg', currency: 'EUR' };
		const cheap = await spoolOf({ ...of, filament: 'Cheap', price: '18' });
		const dear = await spoolOf({ ...of, filament: 'Dear', price: '31,50' });
		const trialId = await trialOf(cheap, dear);
		for (const [spoolId, strings] of [
			[cheap, 'none'],
			[cheap, 'none'],
			[dear, 'heavy']
		] as const)
			// prettier-ignore
			await print(spoolId, 3, { trialId, settings: { nozzleC: 240 }, marks: { strings } });
		await print(dear, 2, { trialId, outcome: 'failed', percentReached: 40, cause: 'filament' });
		const found = async (typed: string) => (await recallSpools(t.db, typed)).spools.map((s) => s.id);
		expect((await found('Recallers')).sort()).toEqual([cheap, dear].sort());
		expect(await found('Recallers, no strings, under 20')).toEqual([cheap]);
		expect(await found('Recallers over 20')).toEqual([dear]);
		expect(await found('Recallers no failures')).toEqual([cheap]);
		expect(await found('Recallers no strings over 20')).toEqual([]);
		const [one] = (await recallSpools(t.db, 'Recallers Cheap')).spools;
		expect(one).toMatchObject({
			price: { perKg: 18, currency: 'EUR' },
			finished: { count: 2, of: 2 },
			settings: { nozzleC: 240 },
			verdict: null
		});
		const own = (await loadSpool(t.db, cheap, NOW)).findings.find((f) => f.quantity === 'strings' && f.n > 0);
		expect(one?.marks.map(({ def, finding }) => [def.id, finding.n, finding.estimate])).toEqual([['strings', 2, own?.estimate]]);
	});
});

describe('what a printer lacks', () => {
	it('is said by name of the trial’s printer, for the spools that ask it', async () => {
		const body = {
			name: 'Open one',
			nozzle: '0.4 brass',
			hotEndMax: '250 C',
			hardenedNozzle: false,
			enclosed: false,
			cardReels: false,
			reelMax: '1 kg'
		};
		const printerId = (await postPrinter(t.db, check(printerBody, body), NOW)).answer.id;
		const filled = await spoolOf({ material: 'PP-GF', netMass: '2 kg', reelMaterial: 'card' });
		const plain = await spoolOf({ netMass: '1 kg' });
		const trialId = await trialOf(plain);
		await postTrialSpool(t.db, check(trialSpoolBody, { trialId, spoolId: filled }), NOW);
		await postProtocol(t.db, check(protocolBody, { trialId, printerId }), NOW);
		const lacks = lacksOf(await loadTrial(t.db, trialId));
		expect(lacks.map((l) => [l.id, l.demands.map((d) => d.id)])).toEqual([
			[filled, ['demand.hardenedNozzle', 'demand.enclosure', 'demand.cardReel', 'demand.reelSize']]
		]);
		expect(await errorsOf(() => postPrinter(t.db, check(printerBody, { ...body, reelMax: 'much' }), NOW))).toMatchObject([
			{ path: 'reelMax' }
		]);
	});
});
