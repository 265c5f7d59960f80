import { asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { PrinterAbilities } from '$lib/core/judging/trial/bench-facts';
import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
import type { instrumentBody, instrumentFactsBody } from '$lib/schemas/amendment';
import type { printerBody, printerFactsBody } from '$lib/schemas/attempt';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../../base/db/client';
import { dryer, instrument, printer } from '../../base/db/schema';
import { readTemperature } from '../../record/drying/temperature';
import { amendFacts, isArchived, withFacts } from '../../record/facts/facts';
import { refuse, refuseField } from '../../base/problem';
import { loadPieces } from '../../record/pieces/load';
import { abilitiesOf } from '../../record/instruments/abilities';
import { raiseSpoolsOf, raiseSpoolsOn } from '../../record/revisions/revisions';
import { writeOnce } from '../../base/write/write-once';
import { loadChecks } from '../../record/instruments/checks';
import { loadPrinters } from '../../record/instruments/printers';
import { loadStruck } from '../../record/instruments/struck';
import { loadStudies } from '../../record/instruments/studies';

export async function listWorkshop(db: Reader) {
	const [instruments, printers, dryers, pieces, checks, studies, struck] = await Promise.all([
		db.select().from(instrument).orderBy(asc(instrument.createdAt)),
		loadPrinters(db),
		db.select().from(dryer).orderBy(asc(dryer.createdAt)),
		loadPieces(db),
		loadChecks(db),
		loadStudies(db),
		loadStruck(db)
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
		printers: printers.map((p) => ({
			id: p.id,
			nozzle: p.nozzle,
			archived: isArchived(p),
			...(abilitiesOf(p) as PrinterAbilities)
		})),
		dryers: (await withFacts(db, 'dryer', dryers)).map((d) => ({
			id: d.id,
			name: d.name,
			setPointLowC: d.setPointLowC,
			setPointHighC: d.setPointHighC,
			archived: isArchived(d)
		})),
		pieces
	};
}

type Kept = Promise<{ answer: { id: string }; repeated: boolean }>;

/** The largest error limit or step that a bench instrument can have, in the canonical unit. */
const LARGEST = {
	length: 1,
	mass: 100
};

/** What was typed of how good an instrument is, in mm or g; what was left out stays out. */
function readLimits(typed: { errorLimit?: string; resolution?: string }, dimension: keyof typeof LARGEST) {
	const errors: FieldError[] = [];
	const most = LARGEST[dimension];
	const valueOf = (path: 'errorLimit' | 'resolution') => {
		const text = typed[path];
		if (!text) return undefined;
		const read = readQuantityText(text.replace(/^(\+\/-|±)\s*/, ''), dimension);
		if (read.ok && read.value > 0 && read.value <= most) return read.value;
		errors.push(fieldError(path, 'notAnErrorLimit', { dimension, most }));
		return undefined;
	};
	const limits = { errorLimit: valueOf('errorLimit'), resolution: valueOf('resolution') };
	if (errors.length > 0) throw refuse(errors);
	return limits;
}

/** Puts right what an instrument is called and how good it is; what was measured with it is judged anew. */
export async function postInstrumentFacts(db: Database, body: z.output<typeof instrumentFactsBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'instrumentFacts', body, now }, async (tx) => {
		const [known] = await tx.select().from(instrument).where(eq(instrument.id, body.instrumentId));
		if (!known) throw refuseField('instrumentId', 'unknownId', { what: 'instrument' });
		const facts = { name: body.name, ...readLimits(body, known.quantity) };
		await amendFacts(tx, 'instrument', { id: known.id, facts, now });
		await raiseSpoolsOf(tx, known.id);
		return { id: body.id };
	});
}

/** A caliper or a scale with its stated error limit; both as typed, kept in mm or g. */
export async function postInstrument(db: Database, body: z.output<typeof instrumentBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'instrument', body, now }, async (tx) => {
		const { errorLimit: limit, resolution } = readLimits(body, body.measures);
		// A leaflet is soon lost: then one step of the display is assumed, and the form says so.
		const errorLimit = limit ?? resolution;
		await tx.insert(instrument).values({ id: body.id, name: body.name, quantity: body.measures, errorLimit, resolution, createdAt: now });
		return { id: body.id };
	});
}

export async function postPrinter(db: Database, body: z.output<typeof printerBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'printer', body, now }, async (tx) => {
		const { id, name, nozzle, hardenedNozzle, enclosed, cardReels } = body;
		await tx.insert(printer).values({ id, name, nozzle, hardenedNozzle, enclosed, cardReels, ...readAbilities(body), createdAt: now });
		return { id: body.id };
	});
}

/** Says later what a printer is called and can do; what was printed on it is seen anew. */
export async function postPrinterFacts(db: Database, body: z.output<typeof printerFactsBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'printerFacts', body, now }, async (tx) => {
		const [known] = await tx.select({ id: printer.id }).from(printer).where(eq(printer.id, body.printerId));
		if (!known) throw refuseField('printerId', 'unknownId', { what: 'printer' });
		const { name, nozzle, hardenedNozzle, enclosed, cardReels } = body;
		const facts = { name, nozzle, ...readAbilities(body), hardenedNozzle, enclosed, cardReels };
		await amendFacts(tx, 'printer', { id: body.printerId, facts, now });
		await raiseSpoolsOn(tx, body.printerId);
		return { id: body.id };
	});
}

type TypedAbilities = Pick<z.output<typeof printerBody>, 'hotEndMax' | 'feedPath' | 'throat' | 'bedMax' | 'reelMax'>;

type Said = number | null | undefined;

/** What was typed of a printer, in its units; what was left out stays out, and what was emptied is not known. */
function readAbilities(body: TypedAbilities): Record<'hotEndMaxC' | 'feedPathMm' | 'throatMm' | 'bedMaxC' | 'reelMaxG', Said> {
	const errors: FieldError[] = [];
	const temperature = (path: 'hotEndMax' | 'bedMax') => (body[path] === undefined ? undefined : readTemperature(body[path], path, errors));
	const [hotEndMaxC, bedMaxC] = [temperature('hotEndMax'), temperature('bedMax')];
	const mass = (): Said => {
		if (!body.reelMax) return body.reelMax === '' ? null : undefined;
		const read = readQuantityText(body.reelMax, 'mass');
		if (read.ok && read.value >= 100 && read.value <= 50_000) return read.value;
		errors.push(fieldError('reelMax', 'notASpoolMass'));
		return undefined;
	};
	const bore = (path: 'feedPath' | 'throat'): Said => {
		const text = body[path];
		if (!text) return text === '' ? null : undefined;
		const read = readQuantityText(text, 'length');
		if (read.ok && read.value >= 1 && read.value <= 6) return read.value;
		errors.push(fieldError(path, 'notABore'));
		return undefined;
	};
	const [feedPathMm, throatMm, reelMaxG] = [bore('feedPath'), bore('throat'), mass()];
	if (errors.length > 0) throw refuse(errors);
	return { hotEndMaxC, feedPathMm, throatMm, bedMaxC, reelMaxG };
}
