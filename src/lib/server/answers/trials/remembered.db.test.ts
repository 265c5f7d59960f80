import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { checked } from '../../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { readingBody } from '../../../schemas/reading';
import { intakeBody } from '../../../schemas/spool';
import { criteriaBody, protocolBody, trialBody } from '../../../schemas/trial';
import { addSpool } from '../../stations/intake/add-spool';
import { postReading } from '../../stations/readings/post';
import { pickInputOf, pickOf, sheetOf, shownSheetOf } from './findings';
import { loadTrial } from './load';
import { postCriteria, postProtocol, postTrial } from './post';

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

const sheet = async () => sheetOf(await loadTrial(t.db, trialId));
const readings = async () => (await sheet()).rows[0]?.cells.find((c) => c.quantity === 'diameterMean')?.findings[0]?.n;

it('two requests share what was computed, at whatever moment they ask', async () => {
	const [first, second] = [await loadTrial(t.db, trialId), await loadTrial(t.db, trialId)];
	expect(sheetOf(first)).toBe(sheetOf(second));
	expect(shownSheetOf(first)).toBe(shownSheetOf(second));
	expect(pickInputOf(first).candidates).toBe(pickInputOf(second).candidates);
});

it('a reading, a rule and a weight each make it anew', async () => {
	const before = await sheet();
	const body = checked(readingBody, { spoolId, quantity: 'diameter', typed: '1.75', takenAt: AT });
	expect(await readings()).toBe(0);
	await postReading(t.db, body, NOW);
	expect(await readings()).toBe(1);
	const measured = await sheet();
	expect(measured).not.toBe(before);
	await postProtocol(t.db, checked(protocolBody, { trialId, repeats: 4 }), NOW);
	const ruled = await sheet();
	expect(ruled).not.toBe(measured);
	await postCriteria(t.db, checked(criteriaBody, { trialId, items: [{ quantity: 'diameterSpread', weight: 9, gate: null }] }), NOW);
	expect(await sheet()).not.toBe(ruled);
});

it('so does a spool that only stands beside the others, and how many draws are asked for', async () => {
	const other = await addSpool(t.db, checked(intakeBody, { trialId, material: 'PETG', nothingOdd: true, at: AT }), NOW);
	const whole = await loadTrial(t.db, trialId);
	const aside = { ...whole, roles: { ...whole.roles, [other.answer.spoolId]: 'house' as const } };
	expect([pickOf(whole), pickOf(aside)].map((pick) => pick.rows.length)).toEqual([2, 1]);
	const many = {
		...whole,
		spools: Array.from({ length: 13 }, (_, i) => ({ ...whole.spools[0], spool: { ...whole.spools[0]?.spool, id: `${i}` } }))
	};
	const draws = (look: 'first' | 'whole', of: typeof whole) => pickOf(of, look).chances.draws;
	expect([draws('first', whole), draws('first', many as typeof whole), draws('whole', many as typeof whole)]).toEqual([
		20_000, 2000, 20_000
	]);
});
