import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { restoreBody } from '$lib/schemas/backup';
import { checked, errorsOf } from '../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../tests/support/database';
import { until } from '../../../../tests/support/instance';
import { readConfig } from '../base/config';
import { maker } from '../base/db/schema';
import { assembleBackup, forgetArrived, putBackupSlice } from './arriving';
import { backupName } from './backup-file';
import { dump } from './dump';
import { noteDownload } from './kept';
import { beginRestore } from './restore-here';
import { readRestoreStatus, writeRestoreStatus } from './restore-status';
import { backupState } from './state';

let record: TestDatabase;
let directory: string;
beforeEach(async () => {
	record = await testDatabase();
	directory = mkdtempSync(join(tmpdir(), 'draught-here-'));
});
afterEach(async () => {
	rmSync(directory, { recursive: true });
	await record.close();
});
const config = () => readConfig({ DATABASE_URL: record.url, HOST: '127.0.0.1', DRAUGHT_BACKUP_DIR: directory, DRAUGHT_INSTANCE: 'test' });
const begin = (body: object) => beginRestore(config(), checked(restoreBody, body), process.env, Date.now());
const ended = async () =>
	await until('the restore is over', async () => {
		const status = await readRestoreStatus(directory);
		return status !== null && status.state !== 'running' ? status : null;
	});

describe('a restore from the page', () => {
	it('of a kept backup and of one that arrived in slices; told to its end, and asked for twice it is one', async () => {
		await record.db.insert(maker).values({ id: v7(), name: 'first', createdAt: 1 });
		const name = backupName(config(), 'backup', Date.now());
		await dump(record.url, join(directory, name));
		await record.db.insert(maker).values({ id: v7(), name: 'later', createdAt: 2 });
		const id = v7();
		expect((await begin({ id, kept: name })).answer.state).toBe('running');
		expect((await begin({ id, kept: name })).repeated).toBe(true);
		expect(await errorsOf(() => begin({ kept: name }))).toEqual([]);
		expect(await ended()).toMatchObject({ id, state: 'done', said: null });
		expect((await record.db.select().from(maker)).map((m) => m.name)).toEqual(['first']);

		const bytes = readFileSync(join(directory, name));
		const other = v7();
		const half = Math.floor(bytes.length / 2);
		await putBackupSlice(directory, other, 1, bytes.subarray(half));
		await expect(begin({ id: other, slices: 2 })).rejects.toMatchObject({
			said: { code: 'sliceNotArrived', params: { slice: 1, slices: 2 } }
		});
		await putBackupSlice(directory, other, 0, bytes.subarray(0, half));
		await putBackupSlice(directory, other, 0, bytes.subarray(0, half));
		await expect(putBackupSlice(directory, other, 0, bytes.subarray(1, half))).rejects.toMatchObject({ said: { code: 'sliceReused' } });
		expect(readFileSync(await assembleBackup(directory, other, 2)).equals(bytes)).toBe(true);
		await begin({ id: other, slices: 2 });
		expect((await ended()).state).toBe('done');
		const state = await backupState(config());
		expect(state.kept.map((b) => b.kind).sort()).toEqual(['backup', 'before-restore', 'before-restore']);
		expect([state.downloadedAt, state.restore?.id]).toEqual([null, other]);
		await noteDownload(directory, 1000);
		expect((await backupState(config())).downloadedAt).toBe(1000);
	});

	it('of a backup that is not here is refused; one whose process is gone has failed; what was never used is forgotten', async () => {
		expect(await errorsOf(() => begin({ kept: backupName(config(), 'daily', 0) }))).toMatchObject([{ path: 'kept', code: 'noSuchBackup' }]);
		expect(await readRestoreStatus(directory)).toBeNull();
		const status = { id: v7(), state: 'running', step: 'loading', part: 0.4, kept: null, said: null, pid: 4194300, at: 1 } as const;
		await writeRestoreStatus(directory, status);
		expect((await readRestoreStatus(directory))?.state).toBe('failed');
		await putBackupSlice(directory, status.id, 0, Buffer.from('x'));
		await putBackupSlice(directory, v7(), 0, Buffer.from('y'));
		await forgetArrived(directory, status.id, Date.now());
		expect(readdirSync(join(directory, 'arriving'))).toHaveLength(1);
		await forgetArrived(directory, status.id, Date.now() + 2 * 86_400_000);
		expect(readdirSync(join(directory, 'arriving'))).toEqual([]);
	});
});
