import { z } from 'zod';
import { id } from './common';

/** One table as CSV text. Without `apply` it is only looked at: what it would bring, and what is wrong in which row. */
export const csvImportBody = z.object({
	id,
	table: z.string().min(1).max(40),
	text: z.string().min(1, { error: 'the file is empty' }),
	apply: z.boolean().default(false)
});

/** Raised when an older program could misread what a newer one writes. */
export const FORMAT_VERSION = 4;

/** A trial with all its evidence as one document. */
export const bundle = z.object({
	format: z.literal('draught-trial', { error: 'this is no trial bundle of Draught' }),
	formatVersion: z
		.int()
		.min(1)
		.max(FORMAT_VERSION, { error: `was written by a newer version of Draught (this one reads up to ${FORMAT_VERSION})` }),
	coreVersion: z.string().max(16),
	exportedAt: z.iso.datetime({ offset: true }),
	trialId: id,
	tables: z.record(z.string(), z.array(z.record(z.string(), z.unknown())).max(200_000))
});
export type Bundle = z.output<typeof bundle>;

export const bundleImportBody = z.object({ id, bundle });
