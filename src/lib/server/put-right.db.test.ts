import { and, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { amendmentBody, noteBody } from '$lib/schemas/amendment';
import { dryerBody, dryingRunBody } from '$lib/schemas/drying';
import { bundle as bundleSchema, bundleImportBody } from '$lib/schemas/exchange';
import { readingBody } from '$lib/schemas/reading';
import { intakeBody, spoolFactsBody } from '$lib/schemas/spool';
import { trialBody, trialLeaveBody, verdictBody } from '$lib/schemas/trial';
import { checked, errorsOf } from '../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import { postAmendment } from './answers/amendments/post';
import { dryingRunSpool, reading, verdict } from './base/db/schema';
import { postDryer, postDryingRun } from './stations/drying/post';
import { loadEvidence } from './record/evidence/load';
import { exportBundle, importBundle } from './exchange/bundle';
import { importCsv } from './exchange/csv-tables';
import { addSpool } from './stations/intake/add-spool';
import { postSpoolFacts } from './stations/intake/facts';
import { postNote } from './stations/notes/post';
import { postReading } from './stations/readings/post';
import { postTrial, postTrialLeave } from './answers/trials/post';
import { postVerdict } from './answers/verdicts/post';

const NOW = Date.parse('2026-11-01T12:00:00Z');
const at = '2026-11-01T11:00:00Z';
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const spool = async (trialId?: string, given: object = {}) =>
	(await addSpool(t.db, checked(intakeBody, { material: 'PETG', at, trialId, ...given }), NOW)).answer.spoolId;
const weigh = (spoolId: string, quantity: string, typed: string) =>
	postReading(t.db, checked(readingBody, { spoolId, quantity, typed, takenAt: at }), NOW);
const amend = (targetId: string, more: object) =>
	postAmendment(t.db, checked(amendmentBody, { targetKind: 'reading', targetId, reason: 'a slip', at, ...more }), NOW);
const csv = (text: string) => importCsv(t.db, { id: v7(), table: 'readings', text, apply: true, zone: 'UTC', dayFirst: true }, NOW);

describe('an empty spool that was put right', () => {
	it('refuses no weighing any more, by form, API or file', async () => {
		for (const change of [{ action: 'exclude' }, { action: 'correct', typed: '210 g' }]) {
			const spoolId = await spool();
			const tare = (await weigh(spoolId, 'tareMass', '2100 g')).answer.id;
			expect(await errorsOf(() => weigh(spoolId, 'grossMass', '1210 g'))).toMatchObject([{ code: 'grossBelowTare' }]);
			await amend(tare, change);
			await weigh(spoolId, 'grossMass', '1210 g');
			await postSpoolFacts(t.db, checked(spoolFactsBody, { spoolId, grossMass: '1205 g', at }), NOW);
			expect((await csv(`spoolId,quantity,typedText,takenAt\n${spoolId},grossMass,1200 g,${at}`)).answer.fresh).toBe(1);
			// What counts still does.
			if (change.action === 'correct')
				expect(await errorsOf(() => weigh(spoolId, 'grossMass', '200 g'))).toMatchObject([{ params: { tareG: 210 } }]);
		}
	});

	it('comes in with its correction, though the correction stands behind it in the bundle', async () => {
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Weighed' }), NOW)).answer.id;
		const spoolId = await spool(trialId);
		const tare = (await weigh(spoolId, 'tareMass', '2100 g')).answer.id;
		await amend(tare, { action: 'correct', typed: '210 g' });
		await weigh(spoolId, 'grossMass', '1210 g');
		const bundle = bundleSchema.parse(JSON.parse(JSON.stringify(await exportBundle(t.db, trialId, NOW))));
		const other = await testDatabase();
		try {
			await importBundle(other.db, bundleImportBody.parse({ id: v7(), bundle }), NOW);
			expect(await other.db.select().from(reading).where(eq(reading.spoolId, spoolId))).toHaveLength(2);
			// Without the correction it contradicts itself.
			delete bundle.tables.amendments;
			const third = await testDatabase();
			const errors = await errorsOf(() => importBundle(third.db, bundleImportBody.parse({ id: v7(), bundle }), NOW));
			await third.close();
			expect(errors).toMatchObject([
				{ path: expect.stringMatching(/^bundle\.tables\.readings\.\d+\.typedText$/) as string, code: 'grossBelowTare' }
			]);
		} finally {
			await other.close();
		}
	});
});

describe('a spool', () => {
	it('is in one dryer, however quickly two are started', async () => {
		const dryerId = (await postDryer(t.db, checked(dryerBody, { name: 'Box' }), NOW)).answer.id;
		const other = (await postDryer(t.db, checked(dryerBody, { name: 'Drum' }), NOW)).answer.id;
		for (let i = 0; i < 8; i++) {
			const [one, two] = [await spool(), await spool()];
			const start = (of: string, spoolIds: string[]) =>
				postDryingRun(
					t.db,
					checked(dryingRunBody, {
						dryerId: of,
						spoolIds,
						setPoint: '60 C',
						duration: '4 h',
						accepted: true,
						at: new Date(NOW).toISOString()
					}),
					NOW
				);
			const presses = await Promise.allSettled([start(dryerId, [one, two]), start(other, [two, one]), start(other, [one])]);
			expect(presses.filter((p) => p.status === 'fulfilled')).toHaveLength(1);
			const runs = await t.db.select().from(dryingRunSpool).where(eq(dryingRunSpool.spoolId, one));
			expect(runs).toHaveLength(1);
		}
	});

	it('says later what its body is made of, and takes it back', async () => {
		const spoolId = await spool(undefined, { reelMaterial: 'plastic' });
		const body = async () => (await loadEvidence(t.db, [spoolId]))[0]?.spool.reelMaterial;
		await postSpoolFacts(t.db, checked(spoolFactsBody, { spoolId, reelMaterial: 'card', at }), NOW);
		expect(await body()).toBe('card');
		const { amendment } = await import('./base/db/schema');
		const [row] = await t.db.select().from(amendment).where(eq(amendment.targetId, spoolId));
		await postAmendment(
			t.db,
			checked(amendmentBody, { targetKind: 'spool', targetId: spoolId, action: 'undo', undoesId: row?.id, at }),
			NOW + 1
		);
		expect(await body()).toBe('plastic');
	});

	it('that left a trial goes nowhere with its bundle, nor with what was frozen while it was there', async () => {
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Left' }), NOW)).answer.id;
		const [stays, leaves] = [
			await spool(trialId, { price: '20', netMass: '1 kg' }),
			await spool(trialId, { price: '30', netMass: '1 kg' })
		];
		await weigh(leaves, 'diameter', '1.75');
		await postNote(t.db, checked(noteBody, { targetKind: 'spool', targetId: leaves, text: 'smells', at }), NOW);
		await postVerdict(t.db, checked(verdictBody, { trialId, spoolId: stays, kind: 'buy', at }), NOW);
		const out = async () => JSON.stringify(await exportBundle(t.db, trialId, NOW));
		const before = bundleSchema.parse(JSON.parse(await out()));
		expect(JSON.stringify(before)).toContain(leaves);
		await postTrialLeave(t.db, checked(trialLeaveBody, { trialId, spoolId: leaves }), NOW);
		const text = await out();
		expect(text).not.toContain(leaves);
		expect(text).toContain(stays);
		// The frozen record here is whole, and a bundle from before or after is the same trial.
		const [frozen] = await t.db
			.select()
			.from(verdict)
			.where(and(eq(verdict.trialId, trialId)));
		expect(JSON.stringify(frozen?.snapshot)).toContain(leaves);
		for (const bundle of [before, bundleSchema.parse(JSON.parse(text))])
			expect((await importBundle(t.db, bundleImportBody.parse({ id: v7(), bundle }), NOW)).answer.fresh).toBe(0);
	});
});
