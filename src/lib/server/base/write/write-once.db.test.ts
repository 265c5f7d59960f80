import { v7 } from 'uuid';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { CutProxy } from '../../../../../tests/support/cut-proxy';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { connect, type Connection, type Transaction } from '../db/client';
import { OutcomeUnknown } from '../db/errors';
import { dryer } from '../db/schema';
import { writeOnce } from './write-once';

let real: TestDatabase;
let proxy: CutProxy;
let through: Connection;

beforeAll(async () => (real = await testDatabase()));
afterAll(() => real.close());
afterEach(async () => {
	await through.pool.end().catch(() => undefined);
	proxy.close();
});

async function open(): Promise<void> {
	const made = await CutProxy.before(real.url);
	proxy = made.proxy;
	through = connect(made.url);
}

const given = () => ({ id: v7(), kind: 'dryer', body: { name: 'Box' }, now: 1 });
const insert = (id: string) => async (tx: Transaction) => {
	await tx.insert(dryer).values({ id, name: 'Box', createdAt: 1 });
	return { id };
};
const kept = async (id: string) => (await real.db.select().from(dryer)).filter((d) => d.id === id).length;

describe('a write whose database goes away', () => {
	it('in the middle of the transaction is done again, once', async () => {
		await open();
		const it = given();
		let tries = 0;
		const written = await writeOnce(through.db, it, async (tx) => {
			if (++tries === 1) proxy.cut();
			return await insert(it.id)(tx);
		});
		expect(written).toEqual({ answer: { id: it.id }, repeated: false });
		expect(tries).toBe(2);
		expect(await kept(it.id)).toBe(1);
	});

	it('after COMMIT, before the answer, is found again instead of done again', async () => {
		await open();
		const it = given();
		let tries = 0;
		proxy.cutAfter('commit');
		const written = await writeOnce(through.db, it, async (tx) => {
			tries += 1;
			return await insert(it.id)(tx);
		});
		expect(written).toEqual({ answer: { id: it.id }, repeated: true });
		expect(tries).toBe(1);
		expect(await kept(it.id)).toBe(1);
	});

	it('and stays away is not said to have stored nothing', async () => {
		await open();
		const it = given();
		await expect(
			writeOnce(through.db, it, async (tx) => {
				proxy.close();
				return await insert(it.id)(tx);
			})
		).rejects.toBeInstanceOf(OutcomeUnknown);
	});
});
