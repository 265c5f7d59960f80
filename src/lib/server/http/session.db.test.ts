import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { testDatabase, type TestDatabase } from '../../../../tests/support/database';
import { endedSession } from '../base/db/schema';
import { endAllSessions, endSession, newSession, SESSION_S, sessionOf } from './session';

const NOW = Date.parse('2026-10-10T12:00:00Z');
const WORD = 'a dome in the dark';
const MINUTE = 60_000;
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());
afterEach(() => void vi.useRealTimers());
const itIs = (at: number) => vi.useFakeTimers({ toFake: ['Date'], now: at });
const idOf = (cookie: string, word = WORD) => sessionOf(t.db, word, cookie);

describe('a login', () => {
	it('lasts thirty days and no longer', async () => {
		expect(SESSION_S).toBe(30 * 24 * 3600);
		itIs(NOW);
		const cookie = await newSession(t.db, WORD);
		const id = await idOf(cookie);
		expect(id).toMatch(/^[0-9a-f-]{36}$/);
		itIs(NOW + SESSION_S * 1000 - 5 * MINUTE);
		expect(await idOf(cookie)).toBe(id);
		itIs(NOW + SESSION_S * 1000 + 5 * MINUTE);
		expect(await idOf(cookie)).toBeNull();
	});
	it('is good for the passphrase it was made under, as it was made, and none is none', async () => {
		const cookie = await newSession(t.db, WORD);
		expect(await idOf(cookie, 'another word')).toBeNull();
		expect(await idOf(`${cookie.slice(0, 20)}${cookie[20] === 'a' ? 'b' : 'a'}${cookie.slice(21)}`)).toBeNull();
		expect(await sessionOf(t.db, WORD, undefined)).toBeNull();
		expect(await idOf('')).toBeNull();
	});
	it('that is ended is ended for every copy of its cookie, and for no other', async () => {
		const [mine, other] = [await newSession(t.db, WORD), await newSession(t.db, WORD)];
		const id = (await idOf(mine)) ?? '';
		await endSession(t.db, id, NOW);
		// Ended twice is ended.
		await endSession(t.db, id, NOW);
		expect(await idOf(mine)).toBeNull();
		expect(await idOf(other)).not.toBeNull();
		await endAllSessions(t.db);
		expect(await idOf(other)).toBeNull();
		expect(await idOf(await newSession(t.db, WORD))).not.toBeNull();
	});
	it('is remembered as ended as long as its cookie would be good', async () => {
		const [old, young] = [v7(), v7()];
		await endSession(t.db, old, NOW);
		await endSession(t.db, young, NOW + 1000);
		await endSession(t.db, v7(), NOW + SESSION_S * 1000 + 500);
		const kept = async (id: string) => (await t.db.select().from(endedSession).where(eq(endedSession.id, id))).length;
		expect([await kept(old), await kept(young)]).toEqual([0, 1]);
	});
});
