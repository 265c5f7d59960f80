import { z } from 'zod';
import { id } from './common';
import { saying } from './field-error';

/** A backup by the name it has in the backup directory: a file of ours, and no path. */
const keptName = z.string().regex(/^draught-[a-z0-9-]+-[a-z-]+-[0-9TZ-]+\.sql(\.gz)?$/, { error: saying('noSuchBackup') });

/** More than a backup of ten years has. */
export const MOST_BACKUP_SLICES = 20_000;

/** Replaces the record by a backup: one of those kept here by its name, or a file that has arrived in slices under this id. */
export const restoreBody = z
	.strictObject({
		id,
		kept: keptName.optional().describe('a backup that is kept on the server'),
		slices: z.int().min(1).max(MOST_BACKUP_SLICES).optional().describe('how many slices of a file were sent under this id before')
	})
	.refine((body) => (body.kept === undefined) !== (body.slices === undefined), { error: saying('keptOrFile'), path: ['kept'] });
