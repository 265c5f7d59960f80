import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { checked, errorsOf } from '../../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { HANDBOOK } from '$lib/core/judging/handbook/defaults';
import { amendmentBody, instrumentBody, instrumentCheckBody } from '$lib/schemas/amendment';
import { dryerBody, dryerCheckBody, dryingEndBody, dryingRunBody } from '$lib/schemas/drying';
import { logBody, logEndBody } from '$lib/schemas/gauge-log';
import { handbookBody } from '$lib/schemas/handbook';
import { readingBody } from '$lib/schemas/reading';
import { intakeBody } from '$lib/schemas/spool';
import { postAmendment } from '../../answers/amendments/post';
import { announceLog, endLog, putSlice } from '../../stations/diameter/arrive';
import { addSpool } from '../../stations/intake/add-spool';
import { postDryer, postDryingEnd, postDryingRun } from '../../stations/drying/post';
import { postReading } from '../../stations/readings/post';
import { postInstrument } from '../../stations/workshop/workshop';
import { postHandbook } from '../handbook/handbook';
import { postDryerCheck } from '../dryers/checks';
import { postInstrumentCheck } from '../instruments/checks';
import { loadEvidence } from './load';
import { spool } from '../../base/db/schema';
import { eq } from 'drizzle-orm';

// What was read is remembered; what must not be remembered, and what must be forgotten.

const NOW = Date.parse('2026-10-20T12:00:00Z');
const AT = '2026-10-04T10:00:00Z';
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const take = async (material = 'PETG') => (await addSpool(t.db, checked(intakeBody, { material, at: AT }), NOW)).answer.spoolId;
const measure = async (spoolId: string, typed: string, now = NOW) =>
	(await postReading(t.db, checked(readingBody, { spoolId, quantity: 'diameter', typed, placeIndex: 0, takenAt: AT }), now)).answer.id;
const evidenceOf = async (spoolId: string) => {
	const [found] = await loadEvidence(t.db, [spoolId]);
	if (!found) throw new Error('no such spool');
	return found;
};

describe('what was read of a spool', () => {
	it('is the same as long as nothing was written, and new as soon as something was', async () => {
		const spoolId = await take();
		const before = await evidenceOf(spoolId);
		expect(await evidenceOf(spoolId)).toBe(before);
		await measure(spoolId, '1.75');
		const after = await evidenceOf(spoolId);
		expect(after).not.toBe(before);
		expect(after.readings).toMatchObject([{ value: 1.75, status: 'counts', corrected: false, confirmed: false }]);
	});
	it('inside a transaction is not remembered: it may be taken back', async () => {
		const spoolId = await take();
		const code = (await evidenceOf(spoolId)).spool.code;
		const taken = t.db.transaction(async (tx) => {
			// As a write does: what it is of is raised, and what it changed is read.
			await tx.update(spool).set({ revision: 40, benchCode: 'ZY9' }).where(eq(spool.id, spoolId));
			expect((await loadEvidence(tx, [spoolId]))[0]?.spool.code).toBe('ZY9');
			throw new Error('taken back');
		});
		await expect(taken).rejects.toThrow('taken back');
		await t.db.update(spool).set({ revision: 40 }).where(eq(spool.id, spoolId));
		expect((await evidenceOf(spoolId)).spool.code).toBe(code);
	});
	it('and was remembered is not what a transaction sees of its own', async () => {
		const spoolId = await take();
		await evidenceOf(spoolId);
		await t.db.transaction(async (tx) => {
			await tx.update(spool).set({ benchCode: 'ZY8' }).where(eq(spool.id, spoolId));
			expect((await loadEvidence(tx, [spoolId]))[0]?.spool.code).toBe('ZY8');
		});
	});
	it('follows the handbook: for how long it stays dry in the open', async () => {
		const spoolId = await take('PLA');
		const { dryForH } = await evidenceOf(spoolId);
		const [usual] = HANDBOOK.filter((m) => m.material === 'PLA');
		if (!usual) throw new Error('no PLA');
		const { edited: _, ...figures } = usual;
		expect(dryForH).toBe(figures.dryForH?.high);
		await postHandbook(
			t.db,
			checked(handbookBody, { material: 'PLA', figures: { ...figures, dryForH: { low: 2, high: 5, source: 'our own' } } }),
			NOW
		);
		expect((await evidenceOf(spoolId)).dryForH).toBe(5);
	});
	it('is judged anew where its log was made with a gauge that is checked', async () => {
		const [logged, other] = [await take(), await take()];
		const gauge = (
			await postInstrument(t.db, checked(instrumentBody, { name: 'Line gauge', errorLimit: '0.01 mm', resolution: '0.001 mm' }), NOW)
		).answer.id;
		const layout = { headerRows: 0, delimiter: ',', decimal: '.', unit: 'mm', along: 0, across: null, place: { kind: 'step', stepM: 0.1 } };
		const id = v7();
		await announceLog(t.db, checked(logBody, { id, spoolId: logged, instrumentId: gauge, name: 'one', layout, slices: 1, at: AT }), NOW);
		await putSlice(t.db, id, 0, Buffer.from('1.75\n1.76\n1.75\n'));
		await endLog(t.db, checked(logEndBody, { logId: id, outcome: 'commit' }), NOW);
		const revisions = async () => [(await evidenceOf(logged)).spool.revision, (await evidenceOf(other)).spool.revision];
		const [before = 0, beforeOther] = await revisions();
		const check = { instrumentId: gauge, reference: '2 mm', referenceLimit: '', readings: ['2.01', '2.01'], at: AT };
		await postInstrumentCheck(t.db, checked(instrumentCheckBody, check), NOW);
		expect(await revisions()).toEqual([before + 1, beforeOther]);
		expect((await evidenceOf(logged)).instruments.find((i) => i.id === gauge)?.checks).toHaveLength(1);
	});
});

describe('a check of a dryer', () => {
	it('is evidence of what was dried in it, and of nothing else; marked invalid it is none', async () => {
		const [inside, outside, elsewhere] = [await take(), await take(), await take()];
		const dryer = async (name: string) => (await postDryer(t.db, checked(dryerBody, { name }), NOW)).answer.id;
		const [box, drum] = [await dryer('Box'), await dryer('Drum')];
		const run = (dryerId: string, spoolId: string) =>
			postDryingRun(t.db, checked(dryingRunBody, { dryerId, spoolIds: [spoolId], setPoint: '60 C', duration: '4 h', at: AT }), NOW);
		await run(drum, elsewhere);
		const ran = (await run(box, inside)).answer;
		await postDryingEnd(t.db, checked(dryingEndBody, { runId: ran.id, outcome: 'done', at: '2026-10-04T14:00:00Z' }), NOW);
		const all = [inside, outside, elsewhere];
		const revisions = async () => Promise.all(all.map(async (id) => (await evidenceOf(id)).spool.revision));
		const checksOf = async (id: string) => (await evidenceOf(id)).events.find((e) => e.drying)?.drying?.checks.map((c) => c.probeC);
		const before = await revisions();
		const check = checked(dryerCheckBody, { dryerId: box, setPoint: '60 C', probe: '130 F', at: AT });
		await postDryerCheck(t.db, check, NOW);
		expect((await postDryerCheck(t.db, check, NOW)).repeated).toBe(true);
		expect(await revisions()).toEqual([(before[0] ?? 0) + 1, before[1], before[2]]);
		expect((await checksOf(inside))?.map((c) => c.toFixed(3))).toEqual(['54.444']);
		expect(await checksOf(elsewhere)).toEqual([]);
		const amend = (action: string) =>
			postAmendment(
				t.db,
				checked(amendmentBody, { targetKind: 'dryerCheck', targetId: check.id, action, reason: 'lay on the heater', at: AT }),
				NOW
			);
		await amend('exclude');
		expect(await checksOf(inside)).toEqual([]);
		expect(await revisions()).toEqual([(before[0] ?? 0) + 2, before[1], before[2]]);
		await amend('reinstate');
		expect(await checksOf(inside)).toHaveLength(1);
	});
	it('is refused at each field for what is no temperature, or of no dryer', async () => {
		const given = {
			dryerId: (await postDryer(t.db, checked(dryerBody, { name: 'Sack' }), NOW)).answer.id,
			setPoint: '60 C',
			probe: '54 C',
			at: AT
		};
		const wrong = (more: object) => errorsOf(() => postDryerCheck(t.db, checked(dryerCheckBody, { ...given, ...more }), NOW));
		expect(await wrong({ setPoint: 'warm', probe: '501 C' })).toMatchObject([
			{ path: 'setPoint', code: 'notATemperature' },
			{ path: 'probe', code: 'temperatureOutOfRange' }
		]);
		expect(await wrong({ dryerId: v7() })).toMatchObject([{ path: 'dryerId', code: 'unknownId' }]);
		expect(await wrong({ at: '2026-10-20T12:20:00Z' })).toMatchObject([{ path: 'at', code: 'future' }]);
	});
});

describe('what was said later of a reading', () => {
	it('counts in the order in which it arrived, whatever the clocks of its senders said', async () => {
		const spoolId = await take();
		const readingId = await measure(spoolId, '1.57');
		const correct = (typed: string, at: string, now: number) =>
			postAmendment(
				t.db,
				checked(amendmentBody, { targetKind: 'reading', targetId: readingId, action: 'correct', typed, reason: 'misread', at }),
				now
			);
		// The clock of the first sender is ahead; that of the server goes back a minute between the two.
		await correct('1.75', '2026-10-20T12:04:00Z', NOW + 120_000);
		await correct('1.76', '2026-10-20T11:00:00Z', NOW + 60_000);
		expect((await evidenceOf(spoolId)).readings.find((r) => r.id === readingId)).toMatchObject({ value: 1.76, typedText: '1.76' });
	});
});
