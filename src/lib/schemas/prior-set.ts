import { z } from 'zod';

const positive = z.number().positive();
const of = { kind: z.string().max(120).nullable(), material: z.string().max(60).nullable(), cells: z.int().min(1) };

/** What a set of priors says, as it stands in the record and in files. */
export const priorSetContent = z.object({
	marks: z
		.array(
			z.object({
				quantity: z.string().max(60),
				...of,
				scatter: z.object({ sd: positive, df: positive }),
				mean: z.object({ centre: z.number(), spread: positive })
			})
		)
		.max(20_000),
	success: z.array(z.object({ ...of, finished: positive, failed: positive })).max(5000),
	waste: z.object({ cells: of.cells, wasted: positive, spared: positive }).optional()
});
