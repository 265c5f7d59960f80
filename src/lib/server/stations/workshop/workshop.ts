import { asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import { INSTRUMENT_FACTS } from '$lib/core/record/facts/instrument-facts';
import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
import { factsAmong } from '$lib/core/record/facts/fact-entry';
import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import type { instrumentBody, instrumentFactsBody } from '$lib/schemas/amendment';
import type { printerBody, printerFactsBody } from '$lib/schemas/attempt';
import type { FieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../../base/db/client';
import { dryer, instrument, printer } from '../../base/db/schema';
import { readFacts } from '../../record/facts/read-facts';
import { amendFacts, isArchived, withFacts } from '../../record/facts/facts';
import { refuse, refuseField } from '../../base/problem';
import { loadPieces } from '../../record/pieces/load';
import { raiseSpoolsOf, raiseSpoolsOn } from '../../record/revisions/revisions';
import { writeOnce } from '../../base/write/write-once';
import { loadDryerChecks } from '../../record/dryers/checks';
import { loadChecks } from '../../record/instruments/checks';
import { loadPrinters } from '../../record/instruments/printers';
import { loadStruck } from '../../record/instruments/struck';
import { loadStudies } from '../../record/instruments/studies';

export async function listWorkshop(db: Reader) {
	const [instruments, printers, dryers, pieces, checks, studies, struck, dryerChecks] = await Promise.all([
		db.select().from(instrument).orderBy(asc(instrument.createdAt)),
		loadPrinters(db),
		db.select().from(dryer).orderBy(asc(dryer.createdAt)),
		loadPieces(db),
		loadChecks(db),
		loadStudies(db),
		loadStruck(db),
		loadDryerChecks(db)
	]);
	const all = (await withFacts(db, 'instrument', instruments)).map((i) => ({
		id: i.id,
		name: i.name,
		measures: i.quantity,
		errorLimit: i.errorLimit,
		resolution: i.resolution,
		archived: isArchived(i),
		checks: checks.get(i.id) ?? [],
		studies: studies.get(i.id) ?? [],
		struck: struck.get(i.id) ?? []
	}));
	return {
		instruments: all.filter((i) => i.measures === 'length'),
		scales: all.filter((i) => i.measures === 'mass'),
		printers: printers.map((p) => ({ id: p.id, archived: isArchived(p), ...factsAmong(PRINTER_FACTS, p) })),
		dryers: (await withFacts(db, 'dryer', dryers)).map((d) => ({
			id: d.id,
			archived: isArchived(d),
			...factsAmong(DRYER_FACTS, d),
			checks: dryerChecks.counts.get(d.id) ?? [],
			struck: dryerChecks.struck.get(d.id) ?? []
		})),
		pieces
	};
}

type Kept = Promise<{ answer: { id: string }; repeated: boolean }>;

/** What is read, where nothing is wrong with it. */
function sound<T>(read: (errors: FieldError[]) => T): T {
	const errors: FieldError[] = [];
	const found = read(errors);
	if (errors.length > 0) throw refuse(errors);
	return found;
}

/** Puts right what an instrument is called and how good it is; what was measured with it is judged anew. */
export async function postInstrumentFacts(db: Database, body: z.output<typeof instrumentFactsBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'instrumentFacts', body, now }, async (tx) => {
		const [known] = await tx.select().from(instrument).where(eq(instrument.id, body.instrumentId));
		if (!known) throw refuseField('instrumentId', 'unknownId', { what: 'instrument' });
		const facts = sound((errors) => readFacts(INSTRUMENT_FACTS, body, errors, known.quantity));
		await amendFacts(tx, 'instrument', { id: known.id, facts, now });
		await raiseSpoolsOf(tx, known.id);
		return { id: body.id };
	});
}

/** A caliper or a scale with its stated error limit; both as typed, kept in mm or g. */
export async function postInstrument(db: Database, body: z.output<typeof instrumentBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'instrument', body, now }, async (tx) => {
		const facts = sound((errors) => readFacts(INSTRUMENT_FACTS, body, errors, body.measures));
		// A leaflet is soon lost: then one step of the display is assumed, and the form says so.
		const errorLimit = facts.errorLimit ?? facts.resolution;
		await tx.insert(instrument).values({ ...facts, id: body.id, name: body.name, quantity: body.measures, errorLimit, createdAt: now });
		return { id: body.id };
	});
}

export async function postPrinter(db: Database, body: z.output<typeof printerBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'printer', body, now }, async (tx) => {
		const { id, name, nozzle } = body;
		const facts = sound((errors) => readFacts(PRINTER_FACTS, body, errors));
		await tx.insert(printer).values({ ...facts, id, name, nozzle, createdAt: now });
		return { id: body.id };
	});
}

/** Says later what a printer is called and can do; what was printed on it is seen anew. */
export async function postPrinterFacts(db: Database, body: z.output<typeof printerFactsBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'printerFacts', body, now }, async (tx) => {
		const [known] = await tx.select({ id: printer.id }).from(printer).where(eq(printer.id, body.printerId));
		if (!known) throw refuseField('printerId', 'unknownId', { what: 'printer' });
		const facts = sound((errors) => readFacts(PRINTER_FACTS, body, errors));
		await amendFacts(tx, 'printer', { id: body.printerId, facts, now });
		await raiseSpoolsOn(tx, body.printerId);
		return { id: body.id };
	});
}
