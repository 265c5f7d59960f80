import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { requireClockAfter } from './server-clock';
import { writeOnce } from './write-once';

const NOW = Date.parse('2026-10-10T12:00:00Z');
const DAY = 86_400_000;
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

describe('the clock of the server against its own record', () => {
	it('says nothing of a record without a write', async () => {
		await expect(requireClockAfter(t.db, 0)).resolves.toBeUndefined();
	});
	it('may be a day behind the newest write and no more', async () => {
		const write = (now: number) => writeOnce(t.db, { id: v7(), kind: 'note', body: {}, now }, () => Promise.resolve({}));
		await write(NOW);
		await write(NOW - 3 * DAY);
		await expect(requireClockAfter(t.db, NOW - DAY)).resolves.toBeUndefined();
		await expect(requireClockAfter(t.db, NOW + DAY)).resolves.toBeUndefined();
		await expect(requireClockAfter(t.db, NOW - DAY - 1)).rejects.toMatchObject({
			status: 503,
			title: expect.stringContaining('9 Oct 2026 11:59 UTC') as string
		});
		await expect(requireClockAfter(t.db, NOW - DAY - 1)).rejects.toMatchObject({
			title: expect.stringContaining('10 Oct 2026 12:00 UTC') as string
		});
	});
});
