import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checked } from '../../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { intakeBody } from '../../../schemas/spool';
import { blindBody, trialBody, trialLeaveBody } from '../../../schemas/trial';
import {
	criteria,
	handbookEntry,
	ownMeasure,
	piece,
	printer,
	priorSet,
	protocol,
	server,
	spool,
	trialPriorSet,
	trialSpool,
	verdict
} from '../../base/db/schema';
import { amendFacts } from '../../record/facts/facts';
import { addSpool } from '../../stations/intake/add-spool';
import { postTrialLeave, postBlind, postTrial } from './post';
import { saidOfTrial } from './said';

const NOW = Date.parse('2026-10-10T12:00:00Z');
const AT = new Date(NOW - 60_000).toISOString();
let t: TestDatabase;
let trialId: string;
let spoolId: string;
beforeAll(async () => {
	t = await testDatabase();
	trialId = v7();
	await postTrial(t.db, checked(trialBody, { id: trialId, name: 'Shared' }), NOW);
	spoolId = (await addSpool(t.db, checked(intakeBody, { trialId, material: 'PETG', nothingOdd: true, at: AT }), NOW)).answer.spoolId;
});
afterAll(() => t.close());

async function said() {
	const found = await saidOfTrial(t.db, trialId);
	if (!found) throw new Error('there is such a trial');
	return found;
}
const row = () => ({ id: v7(), createdAt: NOW });
const amend = (kind: 'trial' | 'printer' | 'verdict', id: string, facts: Record<string, unknown>) =>
	t.db.transaction((tx) => amendFacts(tx, kind, { id, facts, now: NOW }));

it('is one object as long as nothing is said anew, and nothing for a trial that is not there', async () => {
	expect(await said()).toBe(await said());
	expect(await saidOfTrial(t.db, v7())).toBeNull();
});

it('a transaction sees what it wrote, and nobody else does', async () => {
	const before = await said();
	const undone = t.db.transaction(async (tx) => {
		await tx.insert(criteria).values({ ...row(), trialId, version: 9, items: [] });
		expect((await saidOfTrial(tx, trialId))?.weights.version).toBe(9);
		throw new Error('taken back');
	});
	await expect(undone).rejects.toThrow('taken back');
	expect(await said()).toBe(before);
});

it('a failure is not remembered, and what is read after it is', async () => {
	await t.db.update(protocol).set({ repeats: -5 });
	await expect(said()).resolves.toBeDefined();
	await t.db.update(server).set({ epoch: v7() });
	await expect(said()).rejects.toMatchObject({ status: 422 });
	await t.db.update(protocol).set({ repeats: 3 });
	expect(await said()).toBe(await said());
});

/** Rows as a file or the background brings them, past what raises the revision of the trial. */
describe('is read anew after', () => {
	it('a restore', async () => {
		const before = await said();
		await t.db.update(server).set({ epoch: v7() });
		expect(await said()).not.toBe(before);
	});

	it('new rules', async () => {
		const { id: _, createdAt: __, ...rules } = (await said()).rules.protocol;
		const printerId = v7();
		await t.db.insert(printer).values({ id: printerId, name: 'Loft', nozzle: '0.4', createdAt: NOW });
		await t.db.insert(protocol).values({ ...row(), ...rules, version: 2, repeats: 7, printerId });
		expect((await said()).rules.protocol.repeats).toBe(7);
		await amend('printer', printerId, { name: 'Attic' });
		expect((await said()).printerNow?.name).toBe('Attic');
	});

	it('new weights', async () => {
		await t.db.insert(criteria).values({ ...row(), trialId, version: 2, items: [] });
		expect((await said()).weights.version).toBe(2);
	});

	it('a verdict', async () => {
		await t.db
			.insert(verdict)
			.values({ ...row(), trialId, spoolId, kind: 'buy', snapshot: {}, coreVersion: '0.1.0', at: NOW, zone: 'Europe/Vienna' });
		const [kept] = (await said()).verdicts;
		expect(kept).toMatchObject({ spoolId, archived: false });
		await amend('verdict', kept?.id ?? '', { archived: true });
		expect((await said()).verdicts[0]?.archived).toBe(true);
	});

	it('another name, and blindness', async () => {
		await amend('trial', trialId, { name: 'Said later' });
		expect((await said()).head.name).toBe('Said later');
		await postBlind(t.db, checked(blindBody, { trialId, blind: true }), NOW);
		expect((await said()).head.blind).toBe(true);
	});

	it('a set of priors', async () => {
		const set = { ...row(), number: 3, learntBy: v7(), learntFrom: 'record', content: {} as never };
		await t.db.insert(priorSet).values(set);
		const before = await said();
		await t.db.insert(trialPriorSet).values({ ...row(), trialId, priorSetId: set.id });
		expect(await said()).not.toBe(before);
	});

	it('a page of the handbook, a piece and a measure of one’s own', async () => {
		const before = await said();
		await t.db.insert(handbookEntry).values({ ...row(), material: 'PETG', figures: null });
		expect(await said()).not.toBe(before);
		await t.db.insert(piece).values({ ...row(), familyId: v7(), version: 1, name: 'Own arch', marks: [{ mark: 'surface', steps: null }] });
		expect((await said()).pieces.at(-1)?.name).toBe('Own arch');
		await t.db.insert(ownMeasure).values({ ...row(), trialId, name: 'Ring', unit: 's', direction: 'more', scaleLow: 0, scaleHigh: 1 });
		expect((await said()).measures.map((m) => m.name)).toEqual(['Ring']);
	});

	it('a spool that a file puts in, and one that leaves', async () => {
		const other = v7();
		const spoolOf = (await t.db.select().from(spool))[0];
		await t.db.insert(spool).values({ ...(spoolOf as NonNullable<typeof spoolOf>), id: other, benchCode: 'ZZ9' });
		await t.db.insert(trialSpool).values({ trialId, spoolId: other, role: 'candidate', position: 2, createdAt: NOW });
		expect((await said()).members).toHaveLength(2);
		await postTrialLeave(t.db, checked(trialLeaveBody, { trialId, spoolId }), NOW);
		expect((await said()).members.map((m) => m.spoolId)).toEqual([other]);
	});
});
