import sharp from 'sharp';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import { checked as check, errorsOf } from '../../../tests/support/checked';
import { trainingPlan } from '../core/stations/prints/trainer/training';
import { attemptBody } from '../schemas/attempt';
import { photoQuery } from '../schemas/photo';
import { pieceBody } from '../schemas/piece';
import { readingBody } from '../schemas/reading';
import { intakeBody } from '../schemas/spool';
import { trainingBody } from '../schemas/training';
import { protocolBody, trialBody } from '../schemas/trial';
import { reading } from './base/db/schema';
import { addSpool } from './stations/intake/add-spool';
import { putPhoto } from './stations/photos/photos';
import { postPiece } from './stations/pieces/post';
import { postAttempt } from './stations/prints/post-attempt';
import { postReading } from './stations/readings/post';
import { loadSpool } from './answers/spools/load';
import { loadTrial } from './answers/trials/load';
import { postProtocol, postTrial } from './answers/trials/post';
import { listTrainings, postTraining } from './stations/workshop/trainings';

const NOW = Date.parse('2026-11-10T12:00:00Z');
const AT = new Date(NOW).toISOString();
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const spoolOf = async (more: object = {}) =>
	(await addSpool(t.db, check(intakeBody, { material: 'PETG', at: AT, ...more }), NOW)).answer.spoolId;
const print = async (spoolId: string, more: object = {}) =>
	(await postAttempt(t.db, check(attemptBody, { spoolId, outcome: 'finished', at: AT, ...more }), NOW)).answer.id;
const say = (spoolId: string, attemptId: string, quantity: string, typed: string, more: object = {}) =>
	postReading(t.db, check(readingBody, { spoolId, attemptId, quantity, typed, takenAt: AT, ...more }), NOW);
const findingOf = async (spoolId: string, quantity: string) =>
	(await loadSpool(t.db, spoolId, NOW)).findings.find((f) => f.quantity === quantity && f.n > 0);

describe('the trainer', () => {
	const plan = trainingPlan('strings', 5);
	const run = (more: object = {}) => ({ scorer: 'Mira', subject: 'strings', seed: 5, answers: plan.map((s) => s.grade), at: AT, ...more });
	it('keeps a run with the known grades, which the server knows from the seed', async () => {
		const body = check(trainingBody, run());
		const { answer } = await postTraining(t.db, body, NOW);
		expect(answer.result).toMatchObject({ n: 12, right: 12, kappa: { kappa: 1 } });
		expect((await postTraining(t.db, body, NOW)).repeated).toBe(true);
		const milder = run({ answers: plan.map((s) => Math.max(0, s.grade - 1)) });
		await postTraining(t.db, check(trainingBody, { ...milder, at: new Date(NOW - 1000).toISOString() }), NOW);
		const listed = await listTrainings(t.db);
		expect(listed.map((one) => [one.scorer, one.result.right])).toEqual([
			['Mira', 12],
			['Mira', plan.filter((s) => s.grade === 0).length]
		]);
	});
	it('refuses a run of nobody, one that is cut short, and answers there are none of', async () => {
		expect(await errorsOf(() => check(trainingBody, run({ scorer: ' ' })))).toMatchObject([{ path: 'scorer' }]);
		expect(await errorsOf(() => check(trainingBody, run({ answers: [1, 2] })))).toMatchObject([
			{ path: 'answers', code: 'tooFewEntries', params: { least: 12 } }
		]);
		expect(await errorsOf(() => check(trainingBody, run({ subject: 'colour' })))).toMatchObject([{ path: 'subject' }]);
		const beyond = run({ answers: plan.map((_, i) => (i === 3 ? 4 : 0)) });
		expect(await errorsOf(() => postTraining(t.db, check(trainingBody, beyond), NOW))).toMatchObject([{ path: 'answers.3' }]);
	});
});

describe('what is measured on a photograph', () => {
	it('is a reading that knows its photograph and its corners; another print’s photograph is refused', async () => {
		const spoolId = await spoolOf();
		const [one, other] = [await print(spoolId), await print(spoolId)];
		const photoId = v7();
		const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#333' } })
			.jpeg()
			.toBuffer();
		await putPhoto(t.db, check(photoQuery, { id: photoId, attemptId: one, at: AT }), picture, NOW);
		const corners = [
			[10, 5],
			[50, 5],
			[48, 35],
			[12, 35]
		];
		const photo = { id: photoId, corners };
		await say(spoolId, one, 'stringCoverage', '2.35', { photo });
		await say(spoolId, one, 'photoStrings', '6', { photo });
		await say(spoolId, one, 'photoQuality', 'doubtful', { photo });
		const [row] = (await t.db.select().from(reading)).filter((r) => r.quantity === 'stringCoverage');
		expect(row).toMatchObject({ photoId, photoCorners: corners, value: 2.35 });
		const found = await findingOf(spoolId, 'stringCoverage');
		expect(found).toMatchObject({ n: 1, figure: { kind: 'dot', points: [2.35] } });
		expect(found?.messages.map((m) => m.id)).toContain('photoDoubtful');
		// The judged mark is another quantity, which a measure of the photograph never touches.
		expect(await findingOf(spoolId, 'strings')).toBeUndefined();
		expect(await errorsOf(() => say(spoolId, other, 'stringCoverage', '2', { photo }))).toMatchObject([{ path: 'photo.id' }]);
		const three = { id: photoId, corners: corners.slice(1) };
		expect(await errorsOf(() => say(spoolId, one, 'stringCoverage', '2', { photo: three }))).toMatchObject([{ path: 'photo.corners' }]);
		expect(await errorsOf(() => say(spoolId, one, 'stringCoverage', '101', { photo }))).toMatchObject([{ path: 'typed' }]);
	});
});

describe('what belongs to the run of a print', () => {
	it('the fingerprint of its file, and what was changed while it printed', async () => {
		const spoolId = await spoolOf();
		const fileHash = 'ab'.repeat(32);
		await print(spoolId, { fileHash, midPrint: 'fan to 50 % at a third', marks: { strings: 'wisp' } });
		const { evidence } = await loadSpool(t.db, spoolId, NOW);
		expect(evidence.attempts[0]).toMatchObject({ fileHash, midPrint: 'fan to 50 % at a third' });
		expect((await findingOf(spoolId, 'strings'))?.context.settings).toContainEqual({ name: 'midPrint', value: 'fan to 50 % at a third' });
		expect(await errorsOf(() => print(spoolId, { fileHash: 'abc' }))).toMatchObject([{ path: 'fileHash' }]);
	});
	it('a window between floors, the coolest not above the hottest; both sides of an overhang', async () => {
		const spoolId = await spoolOf();
		const params = { from: 240, to: 200, step: 5, floor: 10, width: 30, depth: 8, span: 14, nose: 5 };
		const { id: pieceId } = (await postPiece(t.db, check(pieceBody, { name: 'Heat', kind: 'temperatureLadder', params }), NOW)).answer;
		await print(spoolId, { pieceId, marks: { cleanFrom: '401 F', cleanTo: '220 C' } });
		expect(await findingOf(spoolId, 'temperatureWindow')).toMatchObject({
			figure: { lastClean: [15], firstFaulty: [25] },
			n: 1,
			word: { params: { from: 205, to: 220 } }
		});
		expect(await errorsOf(() => print(spoolId, { pieceId, marks: { cleanFrom: '220', cleanTo: '205' } }))).toMatchObject([
			{ path: 'marks.cleanTo', code: 'belowCoolest' }
		]);
		expect(await errorsOf(() => print(spoolId, { marks: { overhangAwayLastClean: '50', overhangAwayFirstFaulty: '45' } }))).toMatchObject([
			{ path: 'marks.overhangAwayFirstFaulty', code: 'faultyNotBeyond' }
		]);
		const ladder = { from: 30, to: 60, step: 5, slope: 14, width: 9, wall: 7 };
		const one = await postPiece(t.db, check(pieceBody, { name: 'Sides', kind: 'overhangLadder', params: ladder }), NOW);
		const two = await postPiece(t.db, check(pieceBody, { name: 'Sides', kind: 'overhangLadder', params: { ...ladder, sides: 2 } }), NOW);
		for (const [id, says] of [
			[one.answer.id, false],
			[two.answer.id, true]
		] as const) {
			const spool = await spoolOf();
			await print(spool, { pieceId: id, marks: { overhangLastClean: '50', overhangAwayLastClean: '40' } });
			expect((await findingOf(spool, 'overhangAway')) !== undefined).toBe(says);
		}
		expect(
			await errorsOf(() =>
				postPiece(t.db, check(pieceBody, { name: 'Sides', kind: 'overhangLadder', params: { ...ladder, sides: 1.5 } }), NOW)
			)
		).toMatchObject([{ path: 'params.sides' }]);
	});
	it('a flexible’s hardness, feed rate and loading', async () => {
		const spoolId = await spoolOf({ material: 'TPU', hardness: '45D' });
		const fed = (speedPct: number, outcome: object) =>
			print(spoolId, { settings: { speedPct }, marks: { loadEffort: 'pushed' }, ...outcome });
		await fed(40, {});
		await fed(70, { outcome: 'failed', cause: 'filament', percentReached: 10 });
		const found = await findingOf(spoolId, 'feedRate');
		expect(found).toMatchObject({ estimate: 40, interval: { low: 40, high: 70 } });
		const hardness = await findingOf(spoolId, 'statedHardness');
		expect(hardness).toMatchObject({ method: 'stated', n: 1 });
		expect(hardness?.messages.find((m) => m.id === 'hardnessStated')?.params).toMatchObject({ value: 45, scale: 'D' });
		expect(await findingOf(spoolId, 'loadEffort')).toMatchObject({ n: 2, figure: { kind: 'words', counts: [0, 2, 0, 0] } });
		expect(await errorsOf(() => spoolOf({ material: 'TPU', hardness: '95' }))).toMatchObject([{ path: 'hardness' }]);
	});
});

describe('leniency in a trial', () => {
	it('is left in unless the rules take it out; the marks on record stay', async () => {
		const spoolId = await spoolOf();
		const trialId = v7();
		await postTrial(t.db, check(trialBody, { id: trialId, name: 'Scorers', spoolIds: [spoolId] }), NOW);
		for (let i = 0; i < 4; i++) {
			const attemptId = await print(spoolId, { trialId });
			await say(spoolId, attemptId, 'overhangLastClean', String(50 + 5 * i), { scorer: 'Ada' });
			if (i < 3) await say(spoolId, attemptId, 'overhangLastClean', String(60 + 5 * i + (i % 2)), { scorer: 'Ben' });
		}
		const rules = {
			trialId,
			settingsPolicy: 'label',
			conditionPolicy: 'asReceived',
			valueRule: 'weighted',
			repeats: 1,
			diameterPlaces: 5,
			diameterDirections: 2
		};
		expect((await loadTrial(t.db, trialId)).basis.scorerEffects).toEqual([]);
		await postProtocol(t.db, check(protocolBody, { ...rules, takeOutLeniency: true }), NOW);
		const { head, basis } = await loadTrial(t.db, trialId);
		expect(head.takeOutLeniency).toBe(true);
		expect(basis.scorerEffects).toMatchObject([{ quantity: 'overhang', scorer: 'Ben', against: 'Ada', scorings: 6 }]);
		expect(basis.scorerEffects[0]?.shift).toBeCloseTo(31 / 3, 9);
		await postProtocol(t.db, check(protocolBody, { ...rules, takeOutLeniency: false }), NOW);
		expect((await loadTrial(t.db, trialId)).basis.scorerEffects).toEqual([]);
	});
});
