import { nth } from '$lib/core/kernel/lists/nth';
import { saying } from './field-error';
import { z } from 'zod';
import { CORE_VERSION } from '$lib/core/version';
import { id, zone } from './common';

/** One table as CSV text. Without `apply` it is only looked at: what it would bring, and what is wrong in which row. */
export const csvImportBody = z.strictObject({
	id,
	table: z.string().min(1).max(40),
	text: z.string().min(1, { error: saying('fileEmpty') }),
	apply: z.boolean().default(false),
	zone: zone.describe('where times without an offset were taken'),
	dayFirst: z.boolean().default(true).describe('whether 3/4/2026 is the third of April')
});

/** Raised when an older program could misread what a newer one writes. */
export const FORMAT_VERSION = 11;

/** A version such as 0.5.0, not newer than this program's. */
const VERSION = /^\d{1,3}\.\d{1,3}\.\d{1,3}$/;
const coreVersion = z.string().regex(VERSION, { error: saying('notAVersion') });
const parts = (version: string) => version.split('.').map(Number) as [number, number, number];
export const knownCore = coreVersion.refine(
	(text) => {
		const [a, b] = [parts(text), parts(CORE_VERSION)];
		const at = [0, 1, 2].find((i) => a[i] !== b[i]);
		// What is no version at all is told as that.
		if (!VERSION.test(text)) return true;
		return at === undefined || nth(a, at) < nth(b, at);
	},
	{ error: saying('newerVersion', { ours: CORE_VERSION }) }
);

const isListOfRows = (value: unknown): boolean =>
	Array.isArray(value) && value.length <= 200_000 && value.every((row) => typeof row === 'object' && row !== null && !Array.isArray(row));

/** A trial with all its evidence as one document. */
export const bundle = z.strictObject({
	format: z.literal('draught-trial', { error: saying('notABundle') }),
	formatVersion: z
		.int()
		.min(1)
		.max(FORMAT_VERSION, { error: saying('newerFormat', { ours: FORMAT_VERSION }) }),
	coreVersion: knownCore,
	exportedAt: z.iso.datetime({ offset: true }),
	trialId: id,
	// Rows are checked where they are taken in, table by table and stopping early; here only that there are rows.
	tables: z.record(z.string(), z.custom<Record<string, unknown>[]>(isListOfRows, { error: saying('notRows', { most: 200_000 }) }))
});
export type Bundle = z.output<typeof bundle>;

export const bundleImportBody = z.strictObject({ id, bundle });
