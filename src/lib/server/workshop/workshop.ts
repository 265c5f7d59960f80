import { asc } from 'drizzle-orm';
import type { z } from 'zod';
import { readQuantityText } from '$lib/core/units/quantity-text';
import type { instrumentBody } from '$lib/schemas/amendment';
import type { printerBody } from '$lib/schemas/attempt';
import type { FieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../db/client';
import { instrument, piece, printer } from '../db/schema';
import { refuse } from '../problem';
import { writeOnce } from '../write/write-once';

export async function listWorkshop(db: Reader) {
	const [instruments, printers, pieces] = await Promise.all([
		db.select().from(instrument).orderBy(asc(instrument.createdAt)),
		db.select().from(printer).orderBy(asc(printer.createdAt)),
		db.select().from(piece).orderBy(asc(piece.createdAt))
	]);
	return {
		instruments: instruments.map((i) => ({ id: i.id, name: i.name, errorLimit: i.errorLimit, resolution: i.resolution })),
		printers: printers.map((p) => ({ id: p.id, name: p.name, nozzle: p.nozzle })),
		pieces: pieces.map((p) => ({
			id: p.id,
			name: p.name,
			version: p.version,
			overhangStepDeg: p.overhangStepDeg,
			bridgeStepMm: p.bridgeStepMm
		}))
	};
}

/** An instrument for lengths with its stated error limit; both as typed, kept in mm. */
export async function postInstrument(
	db: Database,
	body: z.output<typeof instrumentBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'instrument', body, now }, async (tx) => {
		const errors: FieldError[] = [];
		const lengthMm = (path: 'errorLimit' | 'resolution') => {
			const read = readQuantityText(body[path].replace(/^(\+\/-|±)\s*/, ''), 'length');
			if (read.ok && read.value > 0 && read.value <= 1) return read.value;
			errors.push({
				path,
				code: read.ok ? 'outOfRange' : read.reason,
				message: 'must be a length above 0 and at most 1 mm, such as 0.02 mm'
			});
			return 0;
		};
		const errorLimit = lengthMm('errorLimit');
		const resolution = lengthMm('resolution');
		if (errors.length > 0) throw refuse(errors);
		await tx.insert(instrument).values({ id: body.id, name: body.name, quantity: 'length', errorLimit, resolution, createdAt: now });
		return { id: body.id };
	});
}

export async function postPrinter(
	db: Database,
	body: z.output<typeof printerBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'printer', body, now }, async (tx) => {
		await tx.insert(printer).values({ id: body.id, name: body.name, nozzle: body.nozzle, createdAt: now });
		return { id: body.id };
	});
}
