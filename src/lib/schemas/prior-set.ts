import { z } from 'zod';

const positive = z.number().positive();
const of = { kind: z.string().max(120).nullable(), material: z.string().max(60).nullable(), cells: z.int().min(1) };

/** What a set of priors says, as it stands in the record and in files. */
export const priorSetContent = z.strictObject({
	marks: z
		.array(
			z.strictObject({
				quantity: z.string().max(60),
				...of,
				scatter: z.strictObject({ sd: positive, df: positive }),
				mean: z.strictObject({ centre: z.number(), spread: positive })
			})
		)
		.max(20_000),
	success: z.array(z.strictObject({ ...of, finished: positive, failed: positive })).max(5000),
	waste: z.strictObject({ cells: of.cells, wasted: positive, spared: positive }).optional()
});
