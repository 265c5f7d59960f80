import { asc } from 'drizzle-orm';
import type { z } from 'zod';
import type { MaterialFigures } from '$lib/core/judging/handbook/figures';
import { HANDBOOK } from '$lib/core/judging/handbook/defaults';
import { materialFigures, type handbookBody } from '$lib/schemas/handbook';
import type { Database, Reader } from '../../base/db/client';
import { handbookEntry } from '../../base/db/schema';
import { refuseField } from '../../base/problem';
import { writeOnce } from '../../base/write/write-once';

/** The handbook as this workshop has it: the figures Draught came with, each replaced by the workshop's newest own copy. */
export async function loadHandbook(db: Reader): Promise<MaterialFigures[]> {
	const rows = await db.select().from(handbookEntry).orderBy(asc(handbookEntry.seq));
	const own = new Map<string, MaterialFigures | null>();
	for (const row of rows) {
		const figures = materialFigures.nullable().safeParse(row.figures);
		// A copy that cannot be read is passed over: the one before it is in force.
		if (figures.success) own.set(row.material, figures.data && { ...figures.data, edited: true });
	}
	const first = HANDBOOK.map((m) => own.get(m.material) ?? m);
	const added = [...own.values()].filter((m): m is MaterialFigures => m !== null && !HANDBOOK.some((d) => d.material === m.material));
	return [...first, ...added];
}

/** Keeps an own copy as a new version; the older ones stay. */
export async function postHandbook(
	db: Database,
	body: z.output<typeof handbookBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'handbook', body, now }, async (tx) => {
		// "petg" is the PETG that is there, not another material.
		const known = (await loadHandbook(tx)).find((m) => m.material.toUpperCase() === body.material.toUpperCase());
		if (!known && body.figures === null) throw refuseField('material', 'notInHandbook');
		const material = known?.material ?? body.material;
		const figures = body.figures && { ...body.figures, material };
		await tx.insert(handbookEntry).values({ id: body.id, material, figures, createdAt: now });
		return { id: body.id };
	});
}
