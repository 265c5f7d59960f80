import { saying } from './field-error';
import { z } from 'zod';
import { id, instant, requiredWords, unlessANumber, zone } from './common';

const column = z.int().min(0).max(50);

/** Where in the file a gauge's samples stand. Columns count from 0. */
const logLayout = z.strictObject({
	headerRows: z.int().min(0).max(20),
	delimiter: z.enum([',', ';', '\t', ' ']),
	decimal: z.enum(['.', ',']),
	unit: z.enum(['mm', 'um', 'in']),
	along: column,
	across: column.nullable(),
	place: z.discriminatedUnion('kind', [
		z.strictObject({
			kind: z.literal('step'),
			stepM: z.number({ error: unlessANumber }).gt(0).max(10)
		}),
		z.strictObject({ kind: z.literal('position'), column, perMetre: z.number().gt(0).max(1e6) }),
		z.strictObject({
			kind: z.literal('time'),
			column,
			perSecond: z.number().gt(0).max(1e9),
			speedMPerS: z.number({ error: unlessANumber }).gt(0).max(100)
		})
	])
});
export type LogLayout = z.output<typeof logLayout>;

/** At most this many slices: some five million samples. */
export const MOST_SLICES = 600;

export const logBody = z
	.strictObject({
		id,
		spoolId: id,
		instrumentId: id.optional(),
		name: requiredWords(),
		slices: z
			.int()
			.min(1)
			.max(MOST_SLICES, { error: saying('fileTooLarge') })
			.optional()
			.describe('how many will come; left out for a gauge that is still measuring'),
		layout: logLayout,
		at: instant,
		zone
	})
	.refine((b) => b.layout.across !== b.layout.along, { error: saying('sameColumn'), path: ['layout', 'across'] });

/** Ends what was arriving: taken whole, or given up and forgotten. */
export const logEndBody = z.strictObject({
	id,
	logId: id,
	outcome: z.enum(['commit', 'cancel']),
	slices: z.int().min(1).max(MOST_SLICES).optional().describe('how many came, of a log that was announced without')
});

const metres = z.coerce.number({ error: unlessANumber }).min(0).max(100_000).optional();

/** Which part of a log is to be drawn, and how fine. */
export const pictureQuery = z.object({ fromM: metres, toM: metres, columns: z.coerce.number().int().min(1).max(4000).default(600) });
